'use client';

import { useEffect, useState } from 'react';

/** Which groups a member has folded, remembered on this device. @param owner who it is, of which business */
export function useFolded(owner: string): [ReadonlySet<string>, (group: string, folded: boolean) => void] {
  const [folded, setFolded] = useState<ReadonlySet<string>>(new Set());
  const keptAs = `fair-quill folded groups ${owner}`;
  useEffect(() => {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(keptAs) ?? '[]');
      if (Array.isArray(kept)) setFolded(new Set(kept.map(String)));
    } catch {
      // Nothing is remembered: all are open.
    }
  }, [keptAs]);
  const fold = (group: string, isFolded: boolean) =>
    setFolded((before) => {
      if (before.has(group) === isFolded) return before;
      const next = new Set(before);
      if (isFolded) next.add(group);
      else next.delete(group);
      try {
        localStorage.setItem(keptAs, JSON.stringify([...next]));
      } catch {
        // It is forgotten with the page.
      }
      return next;
    });
  return [folded, fold];
}

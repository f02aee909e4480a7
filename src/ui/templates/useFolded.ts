'use client';

import { useEffect, useState } from 'react';

const KEPT_AS = 'fair-quill folded groups';

/** Which groups are folded, remembered on this device. */
export function useFolded(): [ReadonlySet<string>, (group: string, folded: boolean) => void] {
  const [folded, setFolded] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(KEPT_AS) ?? '[]');
      if (Array.isArray(kept)) setFolded(new Set(kept.map(String)));
    } catch {
      // Nothing is remembered: all are open.
    }
  }, []);
  const fold = (group: string, isFolded: boolean) =>
    setFolded((before) => {
      if (before.has(group) === isFolded) return before;
      const next = new Set(before);
      if (isFolded) next.add(group);
      else next.delete(group);
      try {
        localStorage.setItem(KEPT_AS, JSON.stringify([...next]));
      } catch {
        // It is forgotten with the page.
      }
      return next;
    });
  return [folded, fold];
}

'use client';

import { useCallback, useEffect } from 'react';
import { keepDraft } from './drafts';
import type { LetterView } from './letterStore';
import type { Writing } from './useWriting';

/** Nothing is written to the device before a pause of this many milliseconds, unless the page goes. */
const PAUSE = 150;

/**
 * Keeps what is written on the device until the server has it. Gives a function that keeps it at once.
 * @param open whether the letter is still to be sent
 */
export function useDraft({ store, draft, draftKey }: Writing, view: LetterView | undefined, open: boolean) {
  const keep = useCallback(async () => {
    // With the last keystroke in it.
    const now = store.refresh();
    if (now) {
      const { letter, filled } = now;
      await keepDraft(draftKey, { id: draft.id, letter, base: filled.document }).catch(() => undefined);
    }
  }, [store, draft.id, draftKey]);

  useEffect(() => {
    if (!view || !open) return;
    const timer = setTimeout(() => void keep(), PAUSE);
    const leaving = () => void keep();
    window.addEventListener('pagehide', leaving);
    document.addEventListener('visibilitychange', leaving);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('pagehide', leaving);
      document.removeEventListener('visibilitychange', leaving);
    };
  }, [view, open, keep]);

  return keep;
}

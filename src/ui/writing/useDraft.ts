'use client';

import { useCallback, useEffect } from 'react';
import { afterPaint } from '../shell/afterPaint';
import { keepDraft } from './drafts';
import type { Writing } from './useWriting';

/**
 * Keeps what is written on the device until the server has it. Gives a function that keeps it at once.
 * @param open whether the letter is still to be sent
 */
export function useDraft({ store, draft, draftKey }: Writing, open: boolean): () => Promise<void> {
  const keep = useCallback(async () => {
    const now = store.now();
    if (!now) return;
    const { choices, document, filled } = now;
    const letter = { choices, document };
    await keepDraft(draftKey, { id: draft.id, letter, base: filled.document }).catch(() => undefined);
  }, [store, draft.id, draftKey]);

  useEffect(() => {
    if (!open) return;
    const save = () => void keep();
    save();
    const stop = store.subscribeToWords(() => void afterPaint(save));
    // What was typed in the last moment goes along when the page does.
    window.addEventListener('pagehide', save);
    document.addEventListener('visibilitychange', save);
    return () => {
      stop();
      window.removeEventListener('pagehide', save);
      document.removeEventListener('visibilitychange', save);
    };
  }, [store, open, keep]);

  return keep;
}

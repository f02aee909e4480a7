'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { afterPaint } from '../shell/afterPaint';
import { keepDraft, keepLastWords, readDraft, type Draft } from './drafts';
import type { Writing } from './useWriting';

interface Keeper {
  /** keeps what is written at once */
  keep: () => Promise<void>;
  /** another tab has kept other words of this letter since */
  overtaken: boolean;
  /** this tab's words stand */
  keepMine: () => Promise<void>;
  /** what the other tab has kept */
  theirs: () => Promise<Draft | undefined>;
}

/**
 * Keeps what is written on the device until the server has it, and tells when another tab writes the same letter.
 * @param open whether the letter is still to be sent
 * @param name whom it is to, for the list of drafts
 */
export function useDraft({ store, draft, draftKey }: Writing, name: string, open: boolean): Keeper {
  const [overtaken, setOvertaken] = useState(false);
  const seen = useRef(draft.letter);

  const drafted = useCallback((): Draft | undefined => {
    const now = store.now();
    if (!now) return undefined;
    const { choices, document, filled } = now;
    const template = filled.template.head.name;
    return { id: draft.id, letter: { choices, document }, base: filled.document, name, template };
  }, [store, draft.id, name]);

  const write = useCallback(
    async (force: boolean) => {
      const mine = drafted();
      if (!mine) return;
      const result = await keepDraft(draftKey, mine, seen.current, force).catch(() => undefined);
      if (result === 'kept') seen.current = mine.letter;
      setOvertaken(result === 'overtaken');
    },
    [drafted, draftKey],
  );
  const keep = useCallback(() => write(false), [write]);

  useEffect(() => {
    if (!open) return;
    const save = () => void keep();
    save();
    const stop = store.subscribeToWords(() => void afterPaint(save));
    // What was typed in the last moment goes along when the page does, by a link as by closing it.
    const leave = () => {
      const mine = drafted();
      if (mine) keepLastWords(draftKey, mine);
      save();
    };
    const hidden = () => document.visibilityState === 'hidden' && leave();
    window.addEventListener('pagehide', leave);
    document.addEventListener('visibilitychange', hidden);
    return () => {
      save();
      stop();
      window.removeEventListener('pagehide', leave);
      document.removeEventListener('visibilitychange', hidden);
    };
  }, [store, open, keep, drafted, draftKey]);

  return {
    keep,
    overtaken,
    keepMine: () => write(true),
    theirs: () => readDraft(draftKey, draft.id),
  };
}

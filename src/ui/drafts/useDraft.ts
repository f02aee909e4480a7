'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { afterPaint } from '../shell/afterPaint';
import { giveDraft, overrule, takeDraft } from './draftsElsewhere';
import { keepDraft, keepLastWords, readDraft, type Draft } from './drafts';
import type { Writing } from '../writing/useWriting';

/** Where other words were kept; those of another device with their version. */
type Overtaken = 'tab' | { version: number };

/** The server is given what was written after a pause of so many milliseconds. */
const GIVEN_AFTER = 2500;

interface Keeper {
  /** keeps what is written at once */
  keep: () => Promise<void>;
  /** another tab, or another device, has kept other words of this letter since */
  overtaken: Overtaken | undefined;
  /** the words here stand */
  keepMine: () => Promise<void>;
  /** what was kept there */
  theirs: () => Promise<Draft | undefined>;
}

/**
 * Keeps what is written on the device, then at the server for the member's other devices, until it is sent; and tells when another tab
 * or device writes the same letter.
 * @param open whether the letter is still to be sent
 * @param name whom it is to, for the list of drafts
 */
export function useDraft({ store, draft, draftKey }: Writing, name: string, open: boolean): Keeper {
  const [overtaken, setOvertaken] = useState<Overtaken>();
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
      // What another device has kept is told until somebody has said which stands.
      setOvertaken((before) => (result === 'overtaken' ? 'tab' : before === 'tab' ? undefined : before));
    },
    [drafted, draftKey],
  );
  const keep = useCallback(() => write(false), [write]);
  const give = useCallback(async () => {
    await keep();
    const version = await giveDraft(draftKey, draft.id);
    if (version !== undefined) setOvertaken({ version });
  }, [keep, draftKey, draft.id]);

  useEffect(() => {
    if (!open) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const save = () => {
      void keep();
      clearTimeout(timer);
      timer = setTimeout(() => void give(), GIVEN_AFTER);
    };
    save();
    const stop = store.subscribeToWords(() => void afterPaint(save));
    // What was typed in the last moment goes along when the page does, by a link as by closing it.
    const leave = () => {
      const mine = drafted();
      if (mine) keepLastWords(draftKey, mine);
      void give();
    };
    const hidden = () => document.visibilityState === 'hidden' && leave();
    window.addEventListener('pagehide', leave);
    document.addEventListener('visibilitychange', hidden);
    return () => {
      clearTimeout(timer);
      void give();
      stop();
      window.removeEventListener('pagehide', leave);
      document.removeEventListener('visibilitychange', hidden);
    };
  }, [store, open, keep, give, drafted, draftKey]);

  return {
    keep,
    overtaken,
    keepMine: async () => {
      await write(true);
      if (typeof overtaken !== 'object') return;
      const version = await overrule(draftKey, draft.id, overtaken.version);
      setOvertaken(version === undefined ? undefined : { version });
    },
    theirs: () =>
      typeof overtaken === 'object' ? takeDraft(draftKey, draft.id) : readDraft(draftKey, draft.id),
  };
}

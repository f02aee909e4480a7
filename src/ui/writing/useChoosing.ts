'use client';

import { useCallback, useRef, useState } from 'react';
import { afterPaint } from '../shell/afterPaint';
import { bringWords } from './bringWords';
import type { LetterStore } from './letterStore';
import { writePath } from '../../core/writing/writePath';

/** A template that was chosen and whose words are awaited, or could not be brought, or do not go with the letter. */
interface Choosing {
  words: string;
  failed: boolean;
}

/** Writes the letter from a template, or puts its words in where the caret is. */
export type How = 'instead' | 'put in';

/**
 * Chooses a template, at once where its words are on the device; else they are fetched first.
 * The page's address follows. @returns what is to be said of it, and how to choose
 */
export function useChoosing(
  store: LetterStore,
  from: string,
): [Choosing | undefined, (key: string, how: How) => void] {
  const [choosing, setChoosing] = useState<Choosing>();
  const last = useRef<string>(undefined);
  const choose = useCallback(
    (key: string, how: How) => {
      const take = () => {
        const why = how === 'put in' ? store.putIn(key) : store.choose({ template: key });
        setChoosing(why === undefined ? undefined : { words: why, failed: true });
        // The letter is painted first; the address of the page follows.
        if (how === 'instead') afterPaint(() => window.history.replaceState(null, '', writePath(from, key)));
      };
      last.current = key;
      const { desk } = store;
      if (!desk.lacksWords(key)) return take();
      const { name } = desk.template(key)!.head;
      setChoosing({ words: `Fetching “${name}” …`, failed: false });
      void bringWords(desk, [key]).then((came) => {
        // Another one was chosen meanwhile.
        if (last.current !== key) return;
        if (came) return take();
        const words = `There is no connection, and the words of “${name}” are not on this device.`;
        setChoosing({ words, failed: true });
      });
    },
    [store, from],
  );
  return [choosing, choose];
}

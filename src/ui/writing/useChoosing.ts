'use client';

import { useCallback, useRef, useState } from 'react';
import { bringWords } from './bringWords';
import type { LetterStore } from './letterStore';

/** A template that was chosen and whose words are awaited, or could not be brought, or do not go with the letter. */
interface Choosing {
  words: string;
  failed: boolean;
}

/** Writes the letter from a template, or puts its words in where the caret is. */
export type How = 'instead' | 'put in';

/**
 * Chooses a template, at once where its words are on the device; else they are fetched first.
 * @returns what is to be said of it, and how to choose: it tells whether the letter is now of that template
 */
export function useChoosing(
  store: LetterStore,
): [Choosing | undefined, (key: string, how: How) => boolean | Promise<boolean>] {
  const [choosing, setChoosing] = useState<Choosing>();
  const last = useRef<string>(undefined);
  const choose = useCallback(
    (key: string, how: How) => {
      const take = () => {
        const why = how === 'put in' ? store.putIn(key) : store.choose({ template: key });
        setChoosing(why === undefined ? undefined : { words: why, failed: true });
        return why === undefined;
      };
      last.current = key;
      const { desk } = store;
      if (!desk.lacksWords(key)) return take();
      const { name } = desk.template(key)!.head;
      setChoosing({ words: `Fetching “${name}” …`, failed: false });
      return bringWords(desk, [key]).then((came) => {
        // Another one was chosen meanwhile.
        if (last.current !== key) return false;
        if (came) return take();
        const words = `There is no connection, and the words of “${name}” are not on this device.`;
        setChoosing({ words, failed: true });
        return false;
      });
    },
    [store],
  );
  return [choosing, choose];
}

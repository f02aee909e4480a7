'use client';

import { useCallback, useRef, useState } from 'react';
import { bringWords } from './bringWords';
import type { LetterStore } from './letterStore';

/** A template that was chosen and whose words are awaited, or could not be brought. */
interface Choosing {
  name: string;
  failed: boolean;
}

/**
 * Chooses a template, at once where its words are on the device; else they are fetched first.
 * @returns what is awaited, and how to choose: it tells whether the letter is now from that template
 */
export function useChoosing(
  store: LetterStore,
): [Choosing | undefined, (key: string) => boolean | Promise<boolean>] {
  const [choosing, setChoosing] = useState<Choosing>();
  const last = useRef<string>(undefined);
  const choose = useCallback(
    (key: string) => {
      const take = () => {
        setChoosing(undefined);
        store.choose({ template: key });
        return true;
      };
      last.current = key;
      const { desk } = store;
      if (!desk.lacksWords(key)) return take();
      const name = desk.template(key)!.head.name;
      setChoosing({ name, failed: false });
      return bringWords(desk, [key]).then((came) => {
        // Another one was chosen meanwhile.
        if (last.current !== key) return false;
        if (came) return take();
        setChoosing({ name, failed: true });
        return false;
      });
    },
    [store],
  );
  return [choosing, choose];
}

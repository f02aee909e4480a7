'use client';

import { useEffect, useRef, useState } from 'react';
import type { WordsFacts } from '../../core/contract/templateWords';
import type { WordsReading } from '../../core/writing/readTemplateWords';
import { readWords } from './readWords';

/** Words are read this many milliseconds after the last key. */
const PAUSE = 200;

/** Words as they were read last, and which they were. */
export type ReadWords = WordsReading & { text: string };

/** Reads a template's words while they are typed; the first time at once. */
export function useReading(text: string, facts: WordsFacts): ReadWords | undefined {
  const [reading, setReading] = useState<ReadWords>();
  const first = useRef(true);
  useEffect(() => {
    let latest = true;
    const timer = setTimeout(
      () => {
        first.current = false;
        void readWords(text, facts).then((read) => latest && setReading({ ...read, text }));
      },
      first.current ? 0 : PAUSE,
    );
    return () => {
      latest = false;
      clearTimeout(timer);
    };
  }, [text, facts]);
  return reading;
}

import { useEffect, useState } from 'react';
import { askServer } from '../writing/askServer';
import { asking } from './asking';

/** The server is asked this many milliseconds after the last key. */
const PAUSE = 120;

/** What the server answers to words that are typed. */
export interface AnswerTo<T> {
  /** whether it has answered to these words, or cannot */
  settled: boolean;
  /** undefined while there is nothing to ask, no answer, or no network */
  body?: T | undefined;
}

/** Asks the server for words as they are typed. */
export function useAnswerTo<T>(path: string, search: string): AnswerTo<T> {
  const [answer, setAnswer] = useState<{ search: string; body?: T }>();
  useEffect(() => {
    if (!search) return;
    let latest = true;
    const timer = setTimeout(() => {
      void askServer<T>(asking(path, 'find', search)).then((got) => {
        if (!latest) return;
        const came = !('offline' in got) && got.status === 200;
        setAnswer({ search, ...(came ? { body: got.body } : {}) });
      });
    }, PAUSE);
    return () => {
      latest = false;
      clearTimeout(timer);
    };
  }, [path, search]);
  return answer?.search === search ? { settled: true, body: answer.body } : { settled: false };
}

import { useEffect, useState } from 'react';
import { askServer } from '../writing/askServer';

/** The server is asked this many milliseconds after the last key. */
const PAUSE = 120;

/** What the server answers to words that are typed; undefined while there is nothing to ask, no answer, or no network. */
export function useAnswerTo<T>(path: string, search: string): T | undefined {
  const [answer, setAnswer] = useState<{ search: string; body: T }>();
  useEffect(() => {
    if (!search) return;
    let latest = true;
    const timer = setTimeout(() => {
      void askServer<T>(`${path}?find=${encodeURIComponent(search)}`).then((got) => {
        if (latest && !('offline' in got) && got.status === 200) setAnswer({ search, body: got.body });
      });
    }, PAUSE);
    return () => {
      latest = false;
      clearTimeout(timer);
    };
  }, [path, search]);
  return answer?.search === search ? answer.body : undefined;
}

import type { WritingDesk } from '../../core/writing/writingDesk';
import { bringWords } from './bringWords';

/** The letter on the page comes first: milliseconds until what may come next is thought of. */
const REST = 1500;

/**
 * Brings the words of all templates and compiles them while nothing else is to be done, so that choosing one finds it
 * ready, with or without a connection. Gives how to stop.
 */
export function makeReady(desk: WritingDesk): () => void {
  const keys = desk.facts.templates.map(({ key }) => key);
  let stopped = false;
  let timer = setTimeout(() => void begin(), REST);
  const begin = async () => {
    // What is opened on the page, too: a press finds it there, with or without a connection.
    await Promise.allSettled([
      import('../margin/NoteBody'),
      import('../sending/Moments'),
      import('../sending/WaysOut'),
      import('./AddAlong'),
    ]);
    await bringWords(desk, keys, () => stopped);
    const next = () => {
      const until = performance.now() + 5;
      while (keys.length && performance.now() < until) desk.compile(keys.shift()!);
      if (keys.length && !stopped) timer = setTimeout(next, 30);
    };
    next();
  };
  return () => {
    stopped = true;
    clearTimeout(timer);
  };
}

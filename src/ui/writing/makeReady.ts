import { bringWords } from './bringWords';
import type { LetterStore } from './letterStore';

/** The letter on the page comes first: milliseconds until what may come next is thought of. */
const REST = 1500;
/** So many are filled once beforehand: by then all that filling and looking over is made of has run. */
const REHEARSED = 30;

/**
 * Brings the words of all templates and compiles them while nothing else is to be done, so that choosing one finds it
 * ready, with or without a connection. Gives how to stop.
 */
export function makeReady(store: LetterStore): () => void {
  const { desk } = store;
  const keys = desk.facts.templates.map(({ key }) => key);
  const rehearsed = keys.slice(0, REHEARSED);
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
      // A key that is pressed meanwhile waits for no more than this.
      const until = performance.now() + 5;
      if (!keys.length) store.rehearse(rehearsed.shift()!);
      while (keys.length && performance.now() < until) desk.compile(keys.shift()!);
      if (keys.length + rehearsed.length && !stopped) timer = setTimeout(next, 30);
    };
    if (keys.length) next();
  };
  return () => {
    stopped = true;
    clearTimeout(timer);
  };
}

/** How many things on the page can still be undone where they stand. */
let holds = 0;
const waiting = new Set<() => void>();

/** What was undone may be done again at once: so long it is held on, in milliseconds. */
const THEN = 2_000;

/** Holds the page as it is, so that what can be undone does not leave it. @returns what lets go of it */
export function holdPage(): () => void {
  holds++;
  return () => {
    setTimeout(() => {
      if (--holds > 0) return;
      for (const follow of [...waiting]) follow();
      waiting.clear();
    }, THEN);
  };
}

/** Does something at once, or when nothing holds the page any more. @returns what forgets it */
export function whenLetGo(follow: () => void): () => void {
  if (holds === 0) follow();
  else waiting.add(follow);
  return () => waiting.delete(follow);
}

/** A server that has not answered after so many milliseconds may be out of reach. */
const SOON = 2_000;

/**
 * Sees that a letter that is being handed over waits on this device as well, once its answer is long in coming or its page may be
 * closed: whoever has pressed Send may put the telephone away.
 * @param put puts it there
 * @returns what ends it, when the answer has come: whether it was put there
 */
export function setAside(put: () => Promise<boolean>): () => Promise<boolean> {
  let done: Promise<boolean> | undefined;
  const aside = () => void (done ??= put());
  const timer = setTimeout(aside, SOON);
  const hidden = () => document.visibilityState === 'hidden' && aside();
  document.addEventListener('visibilitychange', hidden);
  return () => {
    clearTimeout(timer);
    document.removeEventListener('visibilitychange', hidden);
    return done ?? Promise.resolve(false);
  };
}

/** Does something once what has just changed is on the screen. Gives how to call it off. */
export function afterPaint(work: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  // A frame's callbacks come before it is painted, a timer set in one comes after.
  const frame = requestAnimationFrame(() => (timer = setTimeout(work)));
  return () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  };
}

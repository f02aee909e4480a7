/** Does what it is given, so many at once, the others in their turn. */
export function inTurn(most: number): (work: () => Promise<void>) => void {
  const waiting: (() => Promise<void>)[] = [];
  let running = 0;
  const goOn = () => {
    while (running < most && waiting.length > 0) {
      running++;
      void waiting.shift()!().finally(() => {
        running--;
        goOn();
      });
    }
  };
  return (work) => {
    waiting.push(work);
    goOn();
  };
}

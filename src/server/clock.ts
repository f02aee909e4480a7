/** The moment that facts are read at: `FAIRQUILL_NOW` where it is set, else the machine's. Queues keep real time. */
export function now(): number {
  const fixed = process.env.FAIRQUILL_NOW;
  return fixed ? Date.parse(fixed) : Date.now();
}

import { CERTAIN, type Find, type Said } from '../../../core/recognise/find';

/** What was decided of a find: the fact it is; that its words stay; absent: nothing yet. */
export type Decided = ReadonlyMap<number, Said | 'words'>;

/** Whether a find is taken with the others; a later one asks. */
export function isCertain({ certainty }: Find): boolean {
  return certainty >= CERTAIN;
}

/** The finds that were taken, each as the fact that was chosen for it. */
export function takenFinds(finds: readonly Find[], decided: Decided): Find[] {
  return finds.flatMap((find, i) => {
    const said = decided.get(i);
    return said === undefined || said === 'words' ? [] : [{ ...find, ...said }];
  });
}

/** Takes what is certain and still open. */
export function withCertain(finds: readonly Find[], decided: Decided): Decided {
  const next = new Map(decided);
  finds.forEach((find, i) => {
    if (isCertain(find) && !next.has(i)) next.set(i, find);
  });
  return next;
}

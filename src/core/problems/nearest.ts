/**
 * The name closest to a mistyped one, or undefined when none is near: at most a third of its letters, two at
 * least, added, dropped, changed or swapped with a neighbour (optimal string alignment distance).
 */
export function nearest(name: string, names: Iterable<string>): string | undefined {
  const wanted = name.toLowerCase();
  let best: string | undefined;
  let bestDistance = Math.max(2, Math.floor(name.length / 3)) + 1;
  for (const candidate of names) {
    if (Math.abs(candidate.length - wanted.length) >= bestDistance) continue;
    const found = distance(wanted, candidate.toLowerCase());
    if (found < bestDistance) [best, bestDistance] = [candidate, found];
  }
  return best;
}

/** " Did you mean “number”?", or nothing. */
export function didYouMean(name: string, names: Iterable<string>, before = ''): string {
  const found = nearest(name, names);
  return found === undefined ? '' : ` Did you mean “${before}${found}”?`;
}

function distance(a: string, b: string): number {
  let beforeLast: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1];
      let cost = Math.min(last[j]! + 1, row[j - 1]! + 1, last[j - 1]! + (same ? 0 : 1));
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]) {
        cost = Math.min(cost, beforeLast[j - 2]! + 1);
      }
      row.push(cost);
    }
    [beforeLast, last] = [last, row];
  }
  return last[b.length]!;
}

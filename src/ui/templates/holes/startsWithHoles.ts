import type { HoleOver, MissingFor } from '../../../core/holes/holesOver';

/** The records that something is missing for, each once. */
export function startsWithHoles(holes: readonly HoleOver[]): MissingFor[] {
  return [...new Map(holes.flatMap(({ records }) => records).map((one) => [one.start, one])).values()];
}

/** The record after the one in view, and after the last one the first. */
export function nextOf(missing: readonly MissingFor[], start: string | undefined): MissingFor {
  return missing[(missing.findIndex((one) => one.start === start) + 1) % missing.length]!;
}

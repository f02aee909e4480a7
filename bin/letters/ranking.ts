import path from 'node:path';
import type { PastLetter } from '../../src/core/fitting/fittingTemplates';
import { isStartingKind } from '../../src/core/records/recordKind';
import type { StartingPoint } from '../../src/core/records/which/situation';
import { demonstrationDesk, demonstrationLetters } from '../../src/server/writing/demonstrationDesk';
import type { WritingDesk } from '../../src/core/writing/writingDesk';

/** Where a template stands among those that are offered for a record. */
export interface Placed {
  from: string;
  right: string;
  /** from 1; undefined: it is not offered as fitting */
  place: number | undefined;
  /** what is offered, with its reason, the likeliest first */
  offered: { name: string; reason: string }[];
}

/** The demonstration at a moment, with the letters that its members have written before. */
export async function rankedDemonstration(
  now: number,
): Promise<{ desk: WritingDesk; letters: PastLetter[] }> {
  const folder = path.resolve('src/data/demonstration');
  const [desk, letters] = await Promise.all([
    demonstrationDesk(folder, now),
    demonstrationLetters(folder, now),
  ]);
  return { desk, letters };
}

/** Places the right template of each situation, which was written down beforehand. */
export function placed(
  desk: WritingDesk,
  letters: readonly PastLetter[],
  situations: readonly (readonly [from: string, right: string])[],
): Placed[] {
  return situations.map(([from, right]) => {
    const start = startOf(from);
    const situation = start && desk.situation(start);
    if (!situation) throw new Error(`${from} is not in the demonstration.`);
    const offered = desk
      .fitting(situation, letters)
      .fitting.map(({ key, reason }) => ({ name: key, reason }));
    const at = offered.findIndex(({ name }) => name === right);
    return { from, right, place: at < 0 ? undefined : at + 1, offered };
  });
}

/** The mean of one over each place; one that is not offered counts nothing. */
export function meanReciprocalRank(all: readonly Placed[]): number {
  return all.reduce((sum, { place }) => sum + (place ? 1 / place : 0), 0) / all.length;
}

function startOf(text: string): StartingPoint | undefined {
  const [kind = '', key = ''] = text.split(/:(.*)/s);
  return isStartingKind(kind) && key ? { kind, key } : undefined;
}

import type { PastLetter } from '../fitting/fittingTemplates';
import type { StartingPoint } from '../records/which/situation';
import type { WritingDesk } from './writingDesk';

/**
 * The template that a letter begins with: the one asked for, else the likeliest that fits, so that writing begins with a
 * letter. Undefined where none fits, or the one asked for is not there.
 */
export function beginsWith(
  desk: WritingDesk,
  start: StartingPoint,
  letters: readonly PastLetter[],
  asked?: string,
): string | undefined {
  if (asked !== undefined) return desk.template(asked) && asked;
  const situation = desk.situation(start);
  return situation && desk.fitting(situation, letters).fitting[0]?.key;
}

import { placeId, type Run } from '../run';
import { asItIs } from '../show';
import type { CompiledSteps } from '../steps/compileSteps';
import { isMissing } from '../values';
import { escapeWithBreaks } from '../write/escape';

/** Writes what a field or an answer says, and gives it; undefined, and nothing is written, where it is missing. */
export function writeValue(
  part: string,
  steps: CompiledSteps,
  stored: unknown,
  run: Run,
  owner?: string,
): string | undefined {
  const value = worked(steps, stored, run);
  const { show } = steps;
  if (!show || isMissing(value)) {
    const said = wording(steps, value, run);
    return said === undefined ? undefined : writeText(part, said, steps.plain, run);
  }
  const { words } = run;
  if (words.keepsPlaces) words.beginValue();
  const said = show(value as never, run, words, owner);
  if (words.keepsPlaces) words.endValue(placeId(part, run));
  return said;
}

/** What is left of a stored value after its steps. */
export function worked({ apply }: CompiledSteps, stored: unknown, run: Run): unknown {
  return apply && stored !== undefined ? apply(stored, run) : stored;
}

/** What a field says of a value that words alone stand for, or of one that is missing; undefined where it has no words. */
export function wording({ text, fallback }: CompiledSteps, value: unknown, run: Run): string | undefined {
  if (isMissing(value)) return fallback;
  return text === asItIs ? (value as string) : text!(value as never, run);
}

/**
 * Writes words that stand for a value, and gives them.
 * @param plain whether nothing in them can need escaping
 */
function writeText(part: string, said: string, plain: boolean, run: Run): string {
  if (plain) return writeWords(part, said, said, run);
  const html = escapeWithBreaks(said);
  return writeWords(part, html === said ? said : withLineFeeds(said), html, run);
}

/**
 * Writes words that were made ready, and gives them.
 * @param html what escapeWithBreaks makes of them
 */
export function writeWords(part: string, said: string, html: string, run: Run): string {
  const { words } = run;
  if (words.keepsPlaces) words.beginValue();
  words.value(said, html);
  if (words.keepsPlaces) words.endValue(placeId(part, run));
  return said;
}

/** However its lines were ended where it came from, in a letter they end with a line feed. */
export function withLineFeeds(said: string): string {
  return said.includes('\r') ? said.replace(/\r\n?/g, '\n') : said;
}

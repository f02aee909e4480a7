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
  const { text, plain, show, fallback } = steps;
  if (text) {
    const said = wording(steps, stored, run);
    return said === undefined ? undefined : writeText(part, said, plain, run);
  }
  const value = worked(steps, stored, run);
  if (isMissing(value)) return fallback === undefined ? undefined : writeText(part, fallback, false, run);
  const { words } = run;
  if (words.keepsPlaces) words.beginValue();
  const said = show(value as never, run, words, owner);
  if (words.keepsPlaces) words.endValue(placeId(part, run));
  return said;
}

/** What a field that says words alone says; undefined where it is missing. */
export function wording(steps: CompiledSteps, stored: unknown, run: Run): string | undefined {
  const value = worked(steps, stored, run);
  if (isMissing(value)) return steps.fallback;
  const { text } = steps;
  return text === asItIs ? (value as string) : text!(value as never, run);
}

function worked({ apply }: CompiledSteps, stored: unknown, run: Run): unknown {
  return apply && stored !== undefined ? apply(stored, run) : stored;
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

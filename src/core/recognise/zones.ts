import { CLOSING } from '../reading/closing';
import { cuesOf } from '../reading/cues';

/** A stretch of a text, in UTF-16 units. */
export interface Stretch {
  from: number;
  to: number;
}

/** The parts of a letter in which names are whom it goes to, or who it comes from. */
export interface Zones {
  /** the name that is greeted */
  greeting?: Stretch;
  /** from the words of farewell on */
  signedOff?: Stretch;
  /** what is repeated, row by row */
  listed: readonly Listing[];
}

/** A table, or several items of a list. */
export interface Listing {
  table: boolean;
  rows: Stretch[];
}

/** A letter greets in its first lines, and ends with few. */
const FIRST_LINES = 4;
const LAST_LINES = 10;
/** More than a name, in UTF-16 units. */
const LONGEST_NAME = 80;

/** Where a letter greets and where it is signed. @param language BCP 47 */
export function zonesOf(text: string, language: string, listed: readonly Listing[]): Zones {
  const zones: Zones = { listed };
  const greetings = [language, 'en', 'de', 'fr'].flatMap((one) => cuesOf(one)?.greeting ?? []);
  const lines: { line: string; from: number }[] = [];
  for (let from = 0; from <= text.length;) {
    const end = text.indexOf('\n', from);
    const to = end < 0 ? text.length : end;
    if (text.slice(from, to).trim()) lines.push({ line: text.slice(from, to), from });
    from = to + 1;
  }
  for (const { line, from } of lines.slice(0, FIRST_LINES)) {
    // A greeting may go on in the same line: “Hello Oda, we come …”
    const greeted = /^.{0,120}?[,!:]/u.exec(line)?.[0] ?? line;
    const name = greetings.map((greeting) => greeting.exec(greeted)?.[1]).find((one) => one !== undefined);
    if (name === undefined || name.length > LONGEST_NAME) continue;
    const at = from + line.indexOf(name);
    // A subject may greet, too: what follows is the letter’s own.
    zones.greeting = { from: at, to: at + name.length };
  }
  for (const { line, from } of lines.slice(-LAST_LINES))
    if (CLOSING.test(line.trim())) zones.signedOff = { from: from + line.length, to: text.length };
  zones.signedOff ??= lastLines(text);
  return zones;
}

/** A paragraph at the end that is too short for a sentence. */
function lastLines(text: string): Stretch | undefined {
  const end = text.trimEnd().length;
  const from = text.lastIndexOf('\n\n', end - 1) + 2;
  const lines = text.slice(from, end).split('\n');
  const areShort =
    from > 1 && lines.length <= 4 && lines.every((line) => line.length <= 60 && !/[.!?]$/u.test(line));
  return areShort ? { from, to: text.length } : undefined;
}

/** The listing a place is in, and its row there. */
export function rowAt(
  { listed }: Zones,
  from: number,
  to: number,
): { listing: Listing; row: number } | undefined {
  for (const listing of listed) {
    const row = listing.rows.findIndex((one) => isIn(one, from, to));
    if (row >= 0) return { listing, row };
  }
  return undefined;
}

/** Whether a place is in a zone. */
export function isIn(zone: Stretch | undefined, from: number, to: number): boolean {
  return zone !== undefined && zone.from <= from && to <= zone.to;
}

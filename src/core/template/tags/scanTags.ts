import type { PlaceFinder, Places, Problem } from '../../problems/problem';
import { TagError, closingQuote } from './lexer';
import { readTag } from './readTag';
import type { Tag } from './tag';

/** A stretch of a text: words, one tag, or a literal `{{` that was written `\{{`. Offsets are into the text. */
export type Segment =
  | { kind: 'words'; start: number; end: number }
  | { kind: 'literal'; start: number; end: number }
  | { kind: 'tag'; start: number; end: number; tag: Tag };

/** The most tags that one text may hold. A letter has dozens. */
export const MOST_TAGS = 20_000;

/**
 * Finds and reads every tag of a text, before any of it is read as Markdown. A tag that cannot be read is
 * reported and left out; the rest is read on, so one reading reports all errors.
 */
export function scanTags(text: string, lines: PlaceFinder, places: Places, problems: Problem[]): Segment[] {
  const segments: Segment[] = [];
  let done = 0;
  let tags = 0;
  const words = (until: number) => {
    if (until > done) segments.push({ kind: 'words', start: done, end: until });
  };
  for (let open = text.indexOf('{{'); open >= 0; open = text.indexOf('{{', Math.max(done, open + 1))) {
    if (isEscaped(text, open)) {
      words(open - 1);
      segments.push({ kind: 'literal', start: open - 1, end: open + 2 });
      done = open + 2;
      continue;
    }
    words(open);
    const close = closingBraces(text, open);
    if (close < 0) {
      problems.push({ ...lines.place(open), message: 'This {{ is never closed with }}.' });
      done = text.length;
      break;
    }
    if (++tags > MOST_TAGS) {
      problems.push({ ...lines.place(open), message: `There are more than ${MOST_TAGS} tags in this text.` });
      done = text.length;
      break;
    }
    const end = text.startsWith('{', open + 2) && text.startsWith('}}}', close) ? close + 3 : close + 2;
    try {
      const tag = readTag(text.slice(open + 2, close));
      places.set(tag, lines.place(open));
      segments.push({ kind: 'tag', start: open, end, tag });
    } catch (error) {
      if (!(error instanceof TagError)) throw error;
      problems.push({ ...lines.place(open + 2 + error.at), message: error.message });
    }
    done = end;
  }
  words(text.length);
  return segments;
}

/** Whether an odd number of backslashes stands before. */
export function isEscaped(text: string, at: number): boolean {
  let backslashes = 0;
  while (text[at - 1 - backslashes] === '\\') backslashes++;
  return backslashes % 2 === 1;
}

/** The `}}` that closes the tag; quoted text may hold `}}`, but for a comment's or when a quote is never closed. */
function closingBraces(text: string, open: number): number {
  const first = text.indexOf('}}', open + 2);
  if (first < 0 || /^\s*[!>]/.test(text.slice(open + 2, open + 12))) return first;
  for (let at = open + 2; at < text.length; at++) {
    if (text[at] === '"') {
      const end = closingQuote(text, at);
      if (end < 0 || text.slice(at, end).includes('\n')) return first;
      at = end;
    } else if (text.startsWith('}}', at)) return at;
  }
  return first;
}

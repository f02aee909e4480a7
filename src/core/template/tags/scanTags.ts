import type { PlaceFinder, Places, Problem } from '../../problems/problem';
import { TagError, closingQuote, isPath } from './lexer';
import { readTag } from './readTag';
import type { Tag } from './tag';

/** A stretch of a text: words, one tag, or a literal `{{` that was written `\{{`. Offsets are into the text. */
export type Segment =
  | { kind: 'words'; start: number; end: number }
  | { kind: 'literal'; start: number; end: number }
  | { kind: 'tag'; start: number; end: number; tag: Tag };

/** The most tags that one text may hold. A letter has dozens. */
const MOST_TAGS = 20_000;

/** The most characters of one tag that is no comment. */
const LONGEST_TAG = 2_000;

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
    if (close - open > LONGEST_TAG && !isComment(text, open)) {
      const message = `This tag is longer than ${LONGEST_TAG} characters.`;
      problems.push({ ...lines.place(open), message });
      done = close + 2;
      continue;
    }
    const end = text.startsWith('{', open + 2) && text.startsWith('}}}', close) ? close + 3 : close + 2;
    try {
      const tag = readTag(text.slice(open + 2, close));
      places.set(tag, lines.place(open));
      segments.push({ kind: 'tag', start: open, end, tag });
    } catch (error) {
      if (!(error instanceof TagError)) throw error;
      problems.push({ ...lines.place(open + 2 + error.at), message: error.message });
      const tag = standIn(text.slice(open + 2, close));
      if (tag) {
        places.set(tag, lines.place(open));
        segments.push({ kind: 'tag', start: open, end, tag });
      }
    }
    done = end;
  }
  words(text.length);
  return segments;
}

/** What an unreadable end of a structure still pairs with, so that its innocent partner is not reported, too. */
function standIn(inner: string): Tag | undefined {
  const [, sigil, path = ''] = /^\s*([#^/])\s*([^\s|]*)/.exec(inner) ?? [];
  if (!sigil || !isPath(path)) return undefined;
  if (sigil === '/') return path === 'when' ? { type: 'close when' } : { type: 'close', path };
  return path === 'when'
    ? { type: 'open when', condition: { join: 'and', clauses: [] } }
    : { type: 'open', path, steps: [], inverted: sigil === '^' };
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
  if (first < 0 || isComment(text, open)) return first;
  // No further than a tag may reach, so that many of them are read in the time of their length.
  const last = Math.min(text.length, open + LONGEST_TAG);
  for (let at = open + 2; at < last; at++) {
    if (text[at] === '"') {
      const end = closingQuote(text, at, last);
      if (end < 0 || text.slice(at, end).includes('\n')) return first;
      at = end;
    } else if (text.startsWith('}}', at)) return at;
  }
  return first;
}

/** Comments may be long, and what stands in them and in passages' names is no quotation. */
function isComment(text: string, open: number): boolean {
  return /^\s*[!>]/.test(text.slice(open + 2, open + 12));
}

import type { PlaceFinder, Places, Problem } from '../../problems/problem';
import { mayStandAlone, type Tag } from '../tags/tag';
import { scanTags } from '../tags/scanTags';

/**
 * Before a text is read as Markdown, everything that Markdown must not look into is replaced by one character of
 * Unicode's last private plane: tags, `\{{`, escaped brackets, `{…}` attributes behind a bracket, and `:::`
 * fences. A character of that plane in the source is itself replaced, so none can be forged.
 */
export type Held =
  | { kind: 'tag'; tag: Tag; raw: string }
  | { kind: 'literal'; text: string; raw: string }
  | { kind: 'attributes'; raw: string; at: number }
  | { kind: 'fence'; attributes: string | undefined; raw: string; at: number };

export interface HeldText {
  /** the text with placeholders */
  text: string;
  held: Held[];
  /** placeholders alone on their line that are no blocks: rows of a table, comments amid a paragraph */
  notBlocks: Set<number>;
}

const FIRST = 0x100000;
const LAST = 0x10fffd;
/** Finds the placeholders of a text; split with it gives them as parts of their own. */
export const PLACEHOLDERS = /([\u{100000}-\u{10FFFD}])/gu;

export function placeholder(index: number): string {
  return String.fromCodePoint(FIRST + index);
}
/** What may stand before a block on its line: the marks of quotes and list items around it. */
const CONTAINERS = '(?:[ >]|[-*+] |\\d+[.)] )*';
const SPECIAL = new RegExp(
  [
    // An escaped backslash first, which escapes nothing after it.
    String.raw`\\\\`,
    String.raw`\\[[\]]`,
    String.raw`[\u{100000}-\u{10FFFF}]`,
    String.raw`&#(?:[xX]10[0-9a-fA-F]{4}|1(?:0[4-9]|1[01])\d{4});`,
    String.raw`(?<=(?<!\\)(?:\\\\)*[\])])\{[^{}\n\\]*\}`,
    String.raw`^${CONTAINERS}:{3,}[ \t]*(?:\{[^{}\n]*\})?[ \t]*$`,
  ].join('|'),
  'gmu',
);
const FENCE = new RegExp(String.raw`^(${CONTAINERS})(:{3,}[ \t]*(\{.*\})?)`, 'u');

/** Which held thing a placeholder stands for; undefined for any other character. */
export function heldIndex(char: string): number | undefined {
  const code = char.codePointAt(0)!;
  return code >= FIRST && code <= LAST ? code - FIRST : undefined;
}

export function holdTags(source: string, lines: PlaceFinder, places: Places, problems: Problem[]): HeldText {
  const held: Held[] = [];
  const hold = (one: Held) => {
    held.push(one);
    return placeholder(held.length - 1);
  };
  // Tags first, so that attributes may hold tags; then the rest over the whole text.
  let text = '';
  const origins: Origin[] = [];
  for (const segment of scanTags(source, lines, places, problems)) {
    const raw = source.slice(segment.start, segment.end);
    origins.push({ from: text.length, source: segment.start });
    if (segment.kind === 'words')
      text += raw.replace(/[\u{100000}-\u{10FFFF}]/gu, (char) =>
        hold({ kind: 'literal', text: char, raw: char }),
      );
    else if (segment.kind === 'literal') text += hold({ kind: 'literal', text: '{{', raw });
    else text += hold({ kind: 'tag', tag: segment.tag, raw });
  }
  const originOf = originFinder(origins);
  text = text.replace(SPECIAL, (raw, offset: number) => {
    const at = originOf(offset);
    if (raw === '\\\\') return raw;
    if (raw.startsWith('\\')) return hold({ kind: 'literal', text: raw.slice(1), raw });
    if (raw.startsWith('&')) {
      const digits = raw.slice(2, -1);
      const code = /^[xX]/.test(digits) ? parseInt(digits.slice(1), 16) : Number(digits);
      return hold({ kind: 'literal', text: String.fromCodePoint(Math.min(code, 0x10ffff)), raw });
    }
    if (raw.startsWith('{')) return hold({ kind: 'attributes', raw, at });
    const fence = FENCE.exec(raw);
    if (fence) return fence[1]! + hold({ kind: 'fence', attributes: fence[3], raw: fence[2]!.trimEnd(), at });
    return raw; // a placeholder of the first pass
  });
  if (held.length + FIRST > LAST) {
    problems.push({ ...lines.place(0), message: 'There are too many tags and attributes in this text.' });
    return { text: '', held: [], notBlocks: new Set() };
  }
  return { ...tellBlocks(text, held), held };
}

interface Origin {
  from: number;
  source: number;
}

/**
 * Finds the place in the source that an offset in the replaced text came from. Offsets are asked for in order.
 */
function originFinder(origins: readonly Origin[]): (offset: number) => number {
  let at = 0;
  return (offset) => {
    while (at + 1 < origins.length && origins[at + 1]!.from <= offset) at++;
    const origin = origins[at];
    return origin ? origin.source + offset - origin.from : offset;
  };
}

const DELIMITER = /^[ >]*\|?[ \t]*:?-+:?[ \t]*(?:\|[ \t]*:?-+:?[ \t]*)*\|?[ \t]*$/;
const ROW = new RegExp(String.raw`^${CONTAINERS}\|`);
const PREFIX = new RegExp(`^${CONTAINERS}`);

/** A line that is a block of its own: a heading, a rule, a fence. */
const ENDS = /^[ >]*(?:(?:[-*+]|\d+[.)]) +)*(?:#{1,6}(?:[ \t]|$)|(?:[-*_][ \t]*){3,}$|`{3}|~{3})/;
/** A line that begins a block, so that the words above do not go on in it. */
const BEGINS = /^[ >]*(?:[-*+](?:[ \t]|$)|\d+[.)](?:[ \t]|$)|\||=+[ \t]*$|-+[ \t]*$)/;

/**
 * A tag alone on its line goes on with the table above it when a row follows or it closes what was opened in the
 * table; otherwise the table ends there, for which Markdown wants a blank line.
 */
function tellBlocks(text: string, held: readonly Held[]): { text: string; notBlocks: Set<number> } {
  const notBlocks = new Set<number>();
  const lines = text.split('\n');
  const out: string[] = [];
  const aloneOn = (line: string | undefined) => {
    const text = line?.replace(PREFIX, '').trim();
    const index = text ? heldIndex(text) : undefined;
    if (index === undefined || [...text!].length !== 1) return undefined;
    const one = held[index];
    return one?.kind === 'tag' && mayStandAlone(one.tag) ? { index, tag: one.tag } : undefined;
  };
  const isWords = (i: number) => Boolean(lines[i]?.trim()) && !aloneOn(lines[i]) && !ENDS.test(lines[i]!);
  const goesOn = (i: number) => isWords(i) && !BEGINS.test(lines[i]!);
  const quoted = (i: number) => /^(?:[ \t]*>)*/.exec(lines[i] ?? '')![0].replace(/[^>]/g, '').length;
  let table = false;
  let depth = 0;
  lines.forEach((line, i) => {
    const alone = aloneOn(line);
    // Another item ends the table in the one before.
    if (/^[ \t>]*(?:[-*+]|\d+[.)])[ \t]/.test(line)) table = false;
    if (!table) {
      table = DELIMITER.test(line) && line.includes('|') && ROW.test(lines[i - 1] ?? '');
      depth = 0;
    } else if (alone) {
      let next = i + 1;
      while (aloneOn(lines[next])) next++;
      const opens = alone.tag.type === 'open' || alone.tag.type === 'open when';
      const closes = alone.tag.type === 'close' || alone.tag.type === 'close when';
      const isComment = alone.tag.type === 'comment';
      // A row behind a list's mark is the head of another table.
      const rowFollows = /^[ \t>]*\|/.test(lines[next] ?? '');
      // What was opened in the table ends there; a passage is no row.
      const inTable = opens ? rowFollows : depth > 0 || (isComment && rowFollows);
      if (inTable && alone.tag.type !== 'passage') {
        depth += opens ? 1 : closes ? -1 : 0;
        notBlocks.add(alone.index);
      } else {
        // The blank line of a quotation has its marks.
        out.push(/^(?:[ \t]*>)*/.exec(line)![0]);
        table = false;
      }
    } else if (!ROW.test(line)) table = false;
    if (
      !table &&
      alone?.tag.type === 'comment' &&
      isWords(i - 1) &&
      goesOn(i + 1) &&
      quoted(i) === quoted(i + 1)
    )
      notBlocks.add(alone.index);
    out.push(line);
  });
  return { text: out.join('\n'), notBlocks };
}

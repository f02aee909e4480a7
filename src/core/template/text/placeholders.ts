import type { PlaceFinder, Places, Problem } from '../../problems/problem';
import { mayStandAlone, type Tag } from '../tags/tag';
import { scanTags } from '../tags/scanTags';
import { alignTags } from './alignTags';
import { beginsBlock, isBlock, isDelimiter, isRow, shapeOf, type LineShape } from './lineShape';

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

/** A text with its placeholders, and what each stands for. */
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

/** The character that stands for the held text of an index. */
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
    String.raw`^${CONTAINERS}:{3,}[ \t]*(?:\{[^{}\n]*\}[ \t]*)?$`,
  ].join('|'),
  'gmu',
);
const FENCE = new RegExp(String.raw`^(${CONTAINERS})(:{3,}[ \t]*(\{.*\})?)`, 'u');

/** Which held thing a placeholder stands for; undefined for any other character. */
export function heldIndex(char: string): number | undefined {
  const code = char.codePointAt(0)!;
  return code >= FIRST && code <= LAST ? code - FIRST : undefined;
}

/** Reads the tags of a text and puts a placeholder in the place of each, so that Markdown never looks into one. */
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

/**
 * A tag alone on its line goes on with the table above it when a row follows or it closes what was opened in the
 * table; otherwise the table ends there, for which Markdown wants a blank line.
 */
function tellBlocks(text: string, held: readonly Held[]): { text: string; notBlocks: Set<number> } {
  const notBlocks = new Set<number>();
  const out: string[] = [];
  const lines = alignTags(text.split('\n'), (line) => {
    const shape = shapeOf(line);
    const alone = loneTag(shape, held);
    return alone && { tag: alone.tag, inItem: shape.items > 0 };
  }).map((line) => {
    const shape = shapeOf(line);
    return { line, shape, alone: loneTag(shape, held) };
  });
  // The first line from each one on that is no tag alone.
  const following: number[] = [];
  for (let i = lines.length - 1; i >= 0; i--) following[i] = lines[i + 1]?.alone ? following[i + 1]! : i + 1;
  const isWords = (i: number) => {
    const { line = '', shape, alone } = lines[i] ?? {};
    return Boolean(line.trim()) && !alone && !isBlock(line, shape!);
  };
  const goesOn = (i: number) => isWords(i) && !beginsBlock(lines[i]!.line, lines[i]!.shape);
  let table = false;
  let depth = 0;
  for (const [i, { line, shape, alone }] of lines.entries()) {
    // Another item ends the table in the one before.
    if (shape.items) table = false;
    if (!table) {
      table = isDelimiter(shape) && i > 0 && isRow(lines[i - 1]!.shape);
      depth = 0;
    } else if (alone) {
      const opens = alone.tag.type === 'open' || alone.tag.type === 'open when';
      const closes = alone.tag.type === 'close' || alone.tag.type === 'close when';
      const isComment = alone.tag.type === 'comment';
      const next = lines[following[i]!];
      // A row behind a list's mark is the head of another table.
      const rowFollows = next !== undefined && isRow(next.shape) && !next.shape.items;
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
    } else if (!isRow(shape)) table = false;
    if (
      !table &&
      alone?.tag.type === 'comment' &&
      isWords(i - 1) &&
      goesOn(i + 1) &&
      shape.quotes === lines[i + 1]!.shape.quotes
    )
      notBlocks.add(alone.index);
    out.push(line);
  }
  return { text: out.join('\n'), notBlocks };
}

/** The tag that is all that stands behind the marks a line begins with. */
function loneTag({ rest }: LineShape, held: readonly Held[]): { index: number; tag: Tag } | undefined {
  const text = rest.trim();
  const index = text.length === 2 ? heldIndex(text) : undefined;
  const one = index === undefined ? undefined : held[index];
  return one?.kind === 'tag' && mayStandAlone(one.tag) ? { index: index!, tag: one.tag } : undefined;
}

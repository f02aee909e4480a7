/** What a line of Markdown begins with, as far as tags alone on their line have to know. Read in one pass. */
export interface LineShape {
  /** how many quotations it stands in */
  quotes: number;
  /** how many list items it begins */
  items: number;
  /** what stands behind the marks of these */
  rest: string;
}

/** Reads what a line begins with. */
export function shapeOf(line: string): LineShape {
  let at = 0;
  let quotes = 0;
  let items = 0;
  for (;;) {
    const char = line[at];
    if (char === ' ') at++;
    else if (char === '>') {
      quotes++;
      at++;
    } else {
      const marker = itemMarker(line, at);
      if (!marker) break;
      items++;
      at += marker;
    }
  }
  return { quotes, items, rest: line.slice(at) };
}

/** How long the marker of a list item is with the space behind it; 0 where there is none. */
function itemMarker(line: string, at: number): number {
  let end = at;
  // CommonMark allows nine digits.
  while (end < at + 9 && line[end]! >= '0' && line[end]! <= '9') end++;
  const mark = line[end] ?? '';
  const fits = end > at ? mark === '.' || mark === ')' : mark === '-' || mark === '*' || mark === '+';
  return fits && line[end + 1] === ' ' ? end + 2 - at : 0;
}

/** A row of a table, as far as a line alone can tell. */
export function isRow({ rest }: LineShape): boolean {
  return rest.startsWith('|');
}

/** The line below the head of a table: nothing but dashes, colons and at least one bar. */
export function isDelimiter({ rest, items }: LineShape): boolean {
  const text = rest.trim();
  if (items || !text.includes('|') || !/^[|:\- \t]+$/.test(text)) return false;
  const cells = text.replace(/^\|/, '').replace(/\|$/, '').split('|');
  return cells.every((cell) => /^:?-+:?$/.test(cell.trim()));
}

/** A line that is a block of its own: a heading, a rule, a fence of code. */
export function isBlock(line: string, { rest }: LineShape): boolean {
  return /^(?:#{1,6}(?:[ \t]|$)|`{3}|~{3})/.test(rest) || isRule(rest) || isRule(line.replace(/^[ >]+/, ''));
}

function isRule(text: string): boolean {
  const marks = text.replace(/[ \t]+/g, '');
  return marks.length >= 3 && /^(?:-+|\*+|_+)$/.test(marks);
}

/** A line that begins a block, so that the words above do not go on in it. */
export function beginsBlock(line: string, { items, rest }: LineShape): boolean {
  return (
    items > 0 || rest.startsWith('|') || /^(?:[-*+]|\d+[.)]|=+|-+)[ \t]*$/.test(line.replace(/^[ >]+/, ''))
  );
}

import Papa from 'papaparse';

/** A row of a table, as it stands in its file. */
export interface TableRow {
  /** the line on which it begins, counted from 1 */
  line: number;
  cells: string[];
  /** what of it could not be read */
  problems: string[];
}

/** A table of a file. */
export interface Table {
  separator: string;
  header: string[];
  rows: TableRow[];
  /** what could not be read of no row in particular, each with its line */
  problems: { line: number; message: string }[];
}

/** More than this is no list of clients: it is told before anything is read. */
const MOST_ROWS = 50_000;
const MOST_COLUMNS = 200;

/** So many rows may stand above the one that heads the columns. */
const MOST_TITLES = 10;

/** Rows above the columns' heads: a cell that was merged over several leaves the others of its row empty. */
function titlesOf(rows: readonly TableRow[]): readonly TableRow[] {
  const filled = ({ cells }: TableRow) => cells.filter(Boolean).length;
  const head = rows.slice(0, MOST_TITLES + 1).findIndex((row) => filled(row) > 1);
  const above = rows.slice(0, Math.max(0, head));
  return above.every(({ cells }) => cells.length > 1) ? above : [];
}

/**
 * Reads a table of separated values (RFC 4180, and what other programs make of it): its separator is found, line ends may stand
 * in quoted cells, empty rows are left out. A row with other cells than its header has is told. Linear.
 */
export function readTable(text: string): Table {
  const separator = separatorOf(text);
  const problems: Table['problems'] = [];
  const all: TableRow[] = [];
  let line = 1;
  let consumed = 0;
  Papa.parse<string[]>(text, {
    delimiter: separator,
    skipEmptyLines: false,
    step: ({ data, errors, meta }, parser) => {
      const cells = data.map((cell) => cell.trim());
      const wrong = errors.map(({ code, message }) =>
        code === 'MissingQuotes' ? 'A quotation mark is not closed.' : message,
      );
      if (cells.some(Boolean)) all.push({ line, cells, problems: wrong });
      else problems.push(...wrong.map((message) => ({ line, message })));
      const at = meta.cursor;
      line += lineEnds(text, consumed, at);
      consumed = at;
      if (all.length > MOST_ROWS + 1) parser.abort();
    },
  });
  if (all.length > MOST_ROWS + 1)
    return {
      separator,
      header: [],
      rows: [],
      problems: [{ line: 1, message: `At most ${MOST_ROWS} rows at once.` }],
    };
  const titles = titlesOf(all);
  for (const { line: at, cells } of titles)
    problems.push({ line: at, message: `“${cells.find(Boolean)}” is taken for a title.` });
  const [head, ...rows] = all.slice(titles.length);
  const header = head?.cells ?? [];
  if (head) problems.push(...head.problems.map((message) => ({ line: head.line, message })));
  if (header.length > MOST_COLUMNS)
    return {
      separator,
      header: [],
      rows: [],
      problems: [{ line: 1, message: `At most ${MOST_COLUMNS} columns.` }],
    };
  for (const row of rows)
    if (row.cells.length > header.length && row.cells.slice(header.length).some(Boolean))
      row.problems.push(`It has ${row.cells.length} cells, and the first line ${header.length}.`);
  return { separator, header, rows, problems };
}

/** The separator that parts the first lines most, and alike. */
function separatorOf(text: string): string {
  const lines = text
    .slice(0, 20_000)
    .split(/\r\n|\r|\n/)
    .filter((one) => one.trim())
    .slice(0, 10);
  const counted = [',', ';', '\t', '|'].map((separator) => {
    const counts = lines.map((one) => outsideQuotes(one, separator));
    const alike = counts.filter((count) => count === counts[0]).length;
    return { separator, score: (counts[0] ?? 0) > 0 ? alike * 1000 + (counts[0] ?? 0) : 0 };
  });
  return counted.reduce((best, one) => (one.score > best.score ? one : best)).separator;
}

function outsideQuotes(line: string, separator: string): number {
  let [count, quoted] = [0, false];
  for (const letter of line) {
    if (letter === '"') quoted = !quoted;
    else if (letter === separator && !quoted) count++;
  }
  return count;
}

function lineEnds(text: string, from: number, to: number): number {
  let count = 0;
  for (let at = from; at < to; at++) {
    const code = text.charCodeAt(at);
    if (code === 10 || (code === 13 && text.charCodeAt(at + 1) !== 10)) count++;
  }
  return count;
}

import Papa from 'papaparse';

/** A sheet of records: its head, and a row for each. */
export interface Sheet {
  head: readonly string[];
  rows: readonly (readonly (string | number | undefined)[])[];
}

/**
 * Writes a sheet as CSV (RFC 4180) in UTF-8 with a mark, which spreadsheets know it by. A cell that one of them would run as a
 * formula is made harmless by an apostrophe before it.
 */
export function csvOf({ head, rows }: Sheet): string {
  const cells = rows.map((row) =>
    row.map((cell) => (typeof cell === 'string' ? harmless(cell) : (cell ?? ''))),
  );
  return `\uFEFF${Papa.unparse([[...head], ...cells], { newline: '\r\n' })}\r\n`;
}

/** What begins as a formula does, also behind white space, is words; a number below nothing is a number. */
function harmless(cell: string): string {
  return /^\s*[=+\-@\t\r]/.test(cell) && !/^-?\d+(?:\.\d+)?$/.test(cell) ? `'${cell}` : cell;
}

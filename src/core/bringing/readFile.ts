import type { CustomFieldData } from '../records/recordsFile';
import type { BroughtClient } from './broughtClient';
import { clientsInTable } from './clientsInTable';
import { decodeText, type Decoded } from './decodeText';
import { matchColumns, type ClientColumn } from './matchColumns';
import { readTable } from './readTable';
import { MOST_CARDS, readVcards } from './readVcards';

/** A file of clients is at most so long, in bytes. */
export const MOST_BYTES = 20_000_000;

/** What would come in from a file. */
export interface BroughtFile {
  form: 'CSV' | 'vCard';
  encoding: Decoded['encoding'];
  /** of a table: what parts its cells, what heads its columns, and what each is taken for */
  table?: { separator: string; columns: { head: string; as?: ClientColumn }[] };
  clients: BroughtClient[];
  /** what of the file is in doubt as a whole, each with its line */
  problems: { line: number; message: string }[];
}

/** A file that is none of ours, or too large; the message says so to whoever brought it. */
export class NoSuchFile extends Error {}

/**
 * Reads a file of clients, a table or cards, by what is in it. Nothing is changed by it.
 * @param own how days are written, and the business's own fields
 * @throws NoSuchFile
 */
export function readFile(
  bytes: Uint8Array,
  { locale, fields = [] }: { locale: string; fields?: readonly CustomFieldData[] },
): BroughtFile {
  if (bytes.length > MOST_BYTES) throw new NoSuchFile('A file of clients is at most 20 MB.');
  if (bytes.length === 0) throw new NoSuchFile('The file is empty.');
  const { text, encoding } = decodeText(bytes);
  if (text.includes('\0'))
    throw new NoSuchFile('This is no text: a table is saved as CSV first, cards as vCard.');
  if (/^\s*BEGIN:VCARD/i.test(text)) {
    const cards = text.match(/^BEGIN:VCARD/gim)?.length ?? 0;
    if (cards > MOST_CARDS) throw new NoSuchFile(`At most ${MOST_CARDS} cards at once.`);
    return { form: 'vCard', encoding, clients: readVcards(text), problems: [] };
  }
  if (/^\s*BEGIN:VCALENDAR/i.test(text))
    throw new NoSuchFile('This is a calendar: clients come as CSV or vCard.');
  if (/^\s*(?:<!doctype|<html|\{|\[\{)/i.test(text))
    throw new NoSuchFile('This is neither a table nor cards.');
  const table = readTable(text);
  const columns = matchColumns(table.header, fields);
  const lines = new Set(table.rows.map(({ line }) => line));
  const problems = table.problems.filter(({ line }) => !lines.has(line));
  if (table.header.length > 0 && !columns.some(isName))
    problems.unshift({ line: 1, message: 'No column is headed as a name: say which one is.' });
  return {
    form: 'CSV',
    encoding,
    table: {
      separator: table.separator,
      columns: table.header.map((head, i) => (columns[i] ? { head, as: columns[i] } : { head })),
    },
    clients: clientsInTable({ table, columns, fields, locale }),
    problems,
  };
}

function isName(column: ClientColumn | undefined): boolean {
  return ['name', 'given_name', 'family_name', 'organisation'].includes(column ?? '');
}

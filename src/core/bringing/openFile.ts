import type { BroughtKind, BroughtRow, Mends, OwnWays } from './brought';
import { eventsIn, type CalendarEvent } from './calendar/eventsIn';
import { bookingOfEvent } from './calendar/bookingOfEvent';
import { clientInRow } from './table/clientInRow';
import { cardsIn, clientOnCard, MOST_CARDS } from './clientOnCard';
import { kindOfTable, matchColumns, type Columns, type TableKind } from './table/columns';
import { decodeText, type Decoded } from './decodeText';
import { invoiceInRows, invoiceRows } from './table/invoicesInTable';
import { paymentInRow } from './table/paymentInRow';
import { MOST_BYTES } from './limits';
import { readTable, type Table, type TableRow } from './table/readTable';

/** So much is told of a row that nothing can be made of. */
const MOST_SAID = 120;

/** A file that is none of ours, or too large; the message says so to whoever brought it. */
export class NoSuchFile extends Error {}

/** A file that was looked at: what it is, and what it reads as. */
export interface OpenFile {
  form: 'CSV' | 'vCard' | 'iCalendar';
  encoding: Decoded['encoding'];
  /** what it likely holds; a table may be read as another kind */
  kind: BroughtKind;
  table?: Table;
  /** what of it could not be read of no row in particular, each with its line */
  problems: { line: number; message: string }[];
  /**
   * Reads it row by row.
   * @param as of a table: what it holds and what its columns are
   * @param mends what was written instead of what rows say, by their numbers
   */
  read(as?: ReadAs, mends?: ReadonlyMap<number, Mends>): BroughtRow[];
  /** One row of it, for what was mended in it. */
  readRow(row: number, as?: ReadAs, mends?: Mends): BroughtRow | undefined;
}

/** What a table is read as. */
export interface ReadAs {
  kind: TableKind;
  /** what each column is; undefined: nothing that is read */
  columns: readonly (string | undefined)[];
}

/**
 * Looks at a file of clients, visits, invoices or payments: a table, cards or a calendar, told by what is in it.
 * @throws NoSuchFile
 */
export function openFile(bytes: Uint8Array, own: OwnWays): OpenFile {
  if (bytes.length > MOST_BYTES) throw new NoSuchFile('A file is at most 20 MB.');
  if (bytes.length === 0) throw new NoSuchFile('The file is empty.');
  const { text, encoding } = decodeText(bytes);
  if (text.includes('\0'))
    throw new NoSuchFile(
      'This is no text: a table is saved as CSV first, cards as vCard, a calendar as iCalendar.',
    );
  if (/^\s*BEGIN:VCARD/i.test(text)) return cards(text, encoding);
  if (/^\s*BEGIN:VCALENDAR/i.test(text)) return calendar(text, encoding, own);
  if (/^\s*(?:<!doctype|<\?xml|<html|\{|\[\{|%PDF)/i.test(text))
    throw new NoSuchFile('This is neither a table nor cards nor a calendar.');
  return openTable(readTable(text), encoding, own);
}

function cards(text: string, encoding: Decoded['encoding']): OpenFile {
  const all = cardsIn(text);
  if (all.length > MOST_CARDS) throw new NoSuchFile(`At most ${MOST_CARDS} cards at once.`);
  return {
    form: 'vCard',
    encoding,
    kind: 'client',
    problems: [],
    read: (_, mends) => all.map((card, i) => clientOnCard(card, i + 1, mends?.get(i + 1))),
    readRow: (row, _, mends) => {
      const card = all[row - 1];
      return card === undefined ? undefined : clientOnCard(card, row, mends);
    },
  };
}

function calendar(text: string, encoding: Decoded['encoding'], own: OwnWays): OpenFile {
  const { events, problems } = eventsIn(text, own);
  const read = (event: CalendarEvent, i: number, mends?: Mends) => bookingOfEvent(event, i + 1, own, mends);
  return {
    form: 'iCalendar',
    encoding,
    kind: 'booking',
    problems,
    read: (_, mends) => events.map((event, i) => read(event, i, mends?.get(i + 1))),
    readRow: (row, _, mends) => {
      const event = events[row - 1];
      return event && read(event, row - 1, mends);
    },
  };
}

function openTable(table: Table, encoding: Decoded['encoding'], own: OwnWays): OpenFile {
  const kind = kindOfTable(table.header);
  return {
    form: 'CSV',
    encoding,
    kind,
    table,
    problems: table.problems,
    read: (as = guess(kind), mends) => rowsOf(as).map((rows) => readOne(rows, as, mends?.get(rows[0]!.line))),
    readRow: (row, as = guess(kind), mends) => {
      const rows = rowsOf(as).find(([first]) => first!.line === row);
      return rows && readOne(rows, as, mends);
    },
  };

  function guess(of: TableKind): ReadAs {
    return { kind: of, columns: matchColumns(of, table.header, own.fields) };
  }
  function rowsOf({ kind: of, columns }: ReadAs) {
    return of === 'invoice'
      ? invoiceRows(table, columns as Columns<'invoice'>)
      : table.rows.map((row) => [row]);
  }
  function readOne(rows: readonly TableRow[], { kind: of, columns }: ReadAs, mends?: Mends): BroughtRow {
    const read = readAs(rows, of, columns, mends);
    const says = rows[0]!.cells.filter(Boolean).join(', ').slice(0, MOST_SAID);
    return read.facts || !says ? read : { ...read, says };
  }
  function readAs(
    rows: readonly TableRow[],
    of: TableKind,
    columns: ReadAs['columns'],
    mends?: Mends,
  ): BroughtRow {
    switch (of) {
      case 'client':
        return clientInRow(table, rows[0]!, columns as Columns<'client'>, own, mends);
      case 'invoice':
        return invoiceInRows(table, rows, columns as Columns<'invoice'>, own, mends);
      case 'payment':
        return paymentInRow(table, rows[0]!, columns as Columns<'payment'>, own, mends);
    }
  }
}

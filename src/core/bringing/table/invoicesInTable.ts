import { decimalString, minorDigits } from '../../money/currency';
import { sumLine } from '../../records/derive/invoiceSums';
import { present, type BroughtInvoice, type BroughtRow, type Mends, type OwnWays } from '../brought';
import type { ColumnOf, Columns } from './columns';
import type { Table, TableRow } from './readTable';
import { RowReader } from './rowReader';

type Reader = RowReader<ColumnOf<'invoice'>>;

/** The rows of a table of invoices, those of one number together, in the order of their first. */
export function invoiceRows(table: Table, columns: Columns<'invoice'>): TableRow[][] {
  const at = columns.indexOf('number');
  const groups = new Map<string, TableRow[]>();
  for (const row of table.rows) {
    const number = row.cells[at] ?? '';
    // A row without a number belongs to none.
    const name = number || `line ${row.line}`;
    const group = groups.get(name);
    if (group) group.push(row);
    else groups.set(name, [row]);
  }
  return [...groups.values()];
}

/**
 * An invoice that was issued elsewhere, of the rows that have its number: what it is as a whole stands in the first, each is a line
 * of it. What was paid on it comes with it. Nothing is made of one without a number, a day and something that it comes to.
 */
export function invoiceInRows(
  table: Table,
  rows: readonly TableRow[],
  columns: Columns<'invoice'>,
  own: OwnWays,
  mends?: Mends,
): BroughtRow<BroughtInvoice> {
  const readers = rows.map(
    (row, i) => new RowReader({ table, row, columns, own, mends: i === 0 ? mends : {} }),
  );
  const first = readers[0]!;
  const row = rows[0]!.line;
  const number = first.text('number', 100);
  const issued_on = first.day('issued_on');
  const due = first.day('due_on');
  const total = first.sum('total');
  const lines = readers.flatMap((reader) => lineOf(reader));
  const status = statusOf(first);
  const whose = {
    emails: [first.email('email')].filter((one) => one !== undefined),
    names: [first.text('name')].filter((one) => one !== undefined),
  };
  const doubts = () => readers.flatMap((reader) => reader.doubts);
  if (number === undefined) first.doubt('number', 'There is no invoice number in it.');
  if (issued_on === undefined && first.words('issued_on') === undefined)
    first.doubt('issued_on', 'It does not say when it was issued.');
  if (lines.length === 0 && total !== undefined)
    lines.push(
      present({ description: first.text('description', 1_000) ?? `Invoice ${number}`, unit_price: total }),
    );
  if (lines.length === 0) first.doubt('total', 'It does not say what it comes to.');
  const comesTo = lines.reduce((sum, line) => sum + sumLine(line).amount, 0);
  const say = (sum: number) => decimalString(sum, minorDigits(own.currency));
  const matches = total === undefined || total === comesTo;
  if (!matches)
    first.doubt('total', `Its lines come to ${say(comesTo)}, and it says ${say(total)}. It is left out.`);
  const due_on = due !== undefined && issued_on !== undefined && due < issued_on ? undefined : due;
  if (due !== due_on) first.doubt('due_on', 'It is due before it was issued. That day is left out.');
  if (number === undefined || issued_on === undefined || lines.length === 0 || !matches)
    return { row, doubts: doubts() };
  const facts = present<BroughtInvoice>({
    number,
    whose,
    status,
    issued_on,
    due_on,
    lines,
    payments: paymentsOf(first, comesTo),
    notes: first.lines('notes', 20_000),
  });
  return { row, facts, doubts: doubts() };
}

function lineOf(reader: Reader): BroughtInvoice['lines'] {
  const unit_price = reader.sum('unit_price');
  if (unit_price === undefined) return [];
  return [
    present<BroughtInvoice['lines'][number]>({
      description: reader.text('description', 1_000) ?? 'Work done',
      quantity: reader.decimal('quantity', -1_000_000, 1_000_000),
      unit_price,
      tax_rate: reader.decimal('tax_rate', 0, 100),
    }),
  ];
}

function statusOf(reader: Reader): BroughtInvoice['status'] {
  return /^(?:void|voided|cancelled|canceled|storniert|annul)/i.test(reader.text('status') ?? '')
    ? 'void'
    : 'sent';
}

/** What was paid on it: the sum that it says, or all of it where it says that it is paid. */
function paymentsOf(reader: Reader, total: number): BroughtInvoice['payments'] {
  const says = /^(?:paid|bezahlt|pay[ée]e?|settled|yes|y|x|true)$/i;
  const word = reader.words('paid') ?? '';
  const amount =
    says.test(word) || says.test(reader.words('status') ?? '') ? total : (reader.sum('paid') ?? 0);
  if (amount === 0) return [];
  const paid_on = reader.day('paid_on');
  if (paid_on === undefined) {
    if (reader.words('paid_on') === undefined)
      reader.doubt('paid_on', 'It says that something was paid, and not when. It comes in as not paid.');
    return [];
  }
  return [
    present<BroughtInvoice['payments'][number]>({ paid_on, amount, method: reader.text('method', 100) }),
  ];
}

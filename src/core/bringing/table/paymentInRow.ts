import { present, type BroughtPayment, type BroughtRow, type Mends, type OwnWays } from '../brought';
import type { ColumnOf, Columns } from './columns';
import type { Table, TableRow } from './readTable';
import { RowReader } from './rowReader';

/** A payment of a row of a table. Nothing is made of one without an invoice, a day and a sum. */
export function paymentInRow(
  table: Table,
  row: TableRow,
  columns: Columns<'payment'>,
  own: OwnWays,
  mends?: Mends,
): BroughtRow<BroughtPayment> {
  const reader = new RowReader<ColumnOf<'payment'>>({ table, row, columns, own, mends });
  const number = reader.text('number', 100);
  const paid_on = reader.day('paid_on');
  const amount = reader.sum('amount');
  if (number === undefined) reader.doubt('number', 'It does not say for which invoice it is.');
  if (reader.words('paid_on') === undefined) reader.doubt('paid_on', 'It does not say when it was paid.');
  if (reader.words('amount') === undefined || amount === 0)
    reader.doubt('amount', 'It does not say how much was paid.');
  const { doubts } = reader;
  if (number === undefined || paid_on === undefined || !amount) return { row: row.line, doubts };
  const facts = present<BroughtPayment>({
    number,
    paid_on,
    amount,
    method: reader.text('method', 100),
    reference: reader.text('reference'),
  });
  return { row: row.line, facts, doubts };
}

import { headingOf } from '../../describe/headings';
import type { CustomFieldData } from '../../records/recordsFile';
import type { TableKind } from './columns';

/** What columns are called that no record has a fact of. */
const OWN: Readonly<Record<string, string>> = {
  organisation: 'Organisation',
  street: 'Street',
  street_2: 'Street, second line',
  town: 'Town',
  region: 'Region',
  postcode: 'Postcode',
  country: 'Country',
  number: 'Invoice number',
  email: 'Email address',
  due_on: 'Due on',
  issued_on: 'Issued on',
  description: 'What for',
  quantity: 'Quantity',
  unit_price: 'Price of one',
  tax_rate: 'Tax in percent',
  total: 'What it comes to',
  paid: 'What was paid',
  paid_on: 'Paid on',
  amount: 'What was paid',
  method: 'How it was paid',
  reference: 'Reference',
  times: 'From when to when',
  service: 'What is done',
};

/** What a column of a table is called, or what is mended of a row. */
export function columnWords(
  kind: TableKind | 'booking',
  column: string,
  fields: readonly CustomFieldData[],
): string {
  const own = fields.find(({ record, key }) => record === kind && column === `custom.${key}`);
  if (own) return own.label;
  if (Object.hasOwn(OWN, column)) return OWN[column]!;
  if (column === 'name' && kind !== 'client') return 'Client';
  return headingOf(kind === 'client' ? 'client' : 'invoice', column);
}

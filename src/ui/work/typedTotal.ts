import { readAmount } from '../../core/money/currency';
import { sumInvoice } from '../../core/records/derive/invoiceSums';

/** A line as it stands in its controls. */
export interface TypedLine {
  description?: string;
  quantity?: string;
  unit_price?: string;
  tax_rate?: string;
  discount?: string;
}

/** What lines come to as they are typed, in minor units; undefined where one is no sum yet. */
export function typedTotal(
  lines: readonly TypedLine[],
  currency: string,
): { net: number; tax: number; amount: number } | undefined {
  const read = lines.map(({ unit_price = '', quantity, tax_rate, discount }) => ({
    unit_price: readAmount(unit_price, currency),
    ...decimalOf('quantity', quantity),
    ...decimalOf('tax_rate', tax_rate),
    ...decimalOf('discount', discount),
  }));
  if (read.some(({ unit_price }) => unit_price === undefined)) return undefined;
  const { net, tax, amount } = sumInvoice({ key: '', lines: read as never }, 0);
  return { net, tax, amount };
}

function decimalOf(name: string, typed = ''): Record<string, string> {
  const text = typed.trim().replace(',', '.');
  return text ? { [name]: text } : {};
}

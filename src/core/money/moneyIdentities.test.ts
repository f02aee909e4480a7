import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sumInvoice, sumLine } from '../records/derive/invoiceSums';
import type { InvoiceData } from '../records/recordsFile';
import { percentOf, readDecimal } from './exact';

const amounts = fc.integer({ min: -10_000_000, max: 10_000_000 });
const decimal = (most: number, places: number) =>
  fc.integer({ min: 0, max: most * 10 ** places }).map((n) => (n / 10 ** places).toFixed(places));
const lines = fc.record({
  quantity: decimal(1000, 3),
  unit_price: amounts,
  tax_rate: decimal(30, 2),
  discount: decimal(100, 2),
});
const payments = fc.array(
  fc.record({
    amount: fc.integer({ min: 0, max: 5_000_000 }),
    paid_on: fc.constantFrom('2026-01-01', '2026-02-01'),
  }),
  { maxLength: 4 },
);
const instalments = fc.array(
  fc.record({ amount: fc.integer({ min: 0, max: 5_000_000 }), due_on: fc.constant('2026-03-01') }),
  { maxLength: 4 },
);
const invoices: fc.Arbitrary<InvoiceData> = fc.record({
  key: fc.constant('K'),
  status: fc.constantFrom('sent', 'draft', 'void'),
  due_on: fc.constantFrom('2026-01-01', '2026-12-31'),
  lines: fc.array(lines, { maxLength: 6 }),
  payments,
  instalments,
});

/** A fraction to the nearest whole, half to even, worked out another way: with a remainder in whole numbers. */
function nearest(units: bigint, over: bigint): bigint {
  const floor = units >= 0n ? units / over : -((-units + over - 1n) / over);
  const twice = (units - floor * over) * 2n;
  return twice > over || (twice === over && floor % 2n !== 0n) ? floor + 1n : floor;
}

describe('money is exact', () => {
  it('a line’s net and tax are each rounded once, half to even', () => {
    fc.assert(
      fc.property(lines, (line) => {
        const thousandths = BigInt(line.quantity.replace('.', ''));
        const left = 10_000n - BigInt(line.discount.replace('.', ''));
        const net = nearest(thousandths * BigInt(line.unit_price) * left, 1000n * 10_000n);
        const tax = nearest(net * BigInt(line.tax_rate.replace('.', '')), 10_000n);
        expect(sumLine(line)).toEqual({ net: Number(net), tax: Number(tax), amount: Number(net + tax) });
      }),
      { numRuns: 1000 },
    );
  });

  it('totals are the sums of the lines, and what is paid and what is left are the total', () => {
    fc.assert(
      fc.property(invoices, (invoice) => {
        const sums = sumInvoice(invoice, 20_500);
        const each = invoice.lines!.map(sumLine);
        expect(sums.net).toBe(each.reduce((sum, { net }) => sum + net, 0));
        expect(sums.tax).toBe(each.reduce((sum, { tax }) => sum + tax, 0));
        expect(sums.amount).toBe(sums.net + sums.tax);
        expect(sums.paid + sums.balance).toBe(sums.amount);
      }),
    );
  });

  it('what is left of the instalments is what they are less what was paid, each emptied before the next', () => {
    fc.assert(
      fc.property(invoices, (invoice) => {
        const { left, paid, nextInstalment } = sumInvoice(invoice, 20_500);
        const all = invoice.instalments!.reduce((sum, { amount = 0 }) => sum + amount, 0);
        expect(left.reduce((sum, one) => sum + one, 0)).toBe(Math.max(0, all - paid));
        const begun = left.findIndex((one, i) => one > 0 && one < invoice.instalments![i]!.amount!);
        if (begun >= 0) expect(left.slice(0, begun).every((one) => one === 0)).toBe(true);
        expect(nextInstalment).toBe(invoice.instalments!.find((_, i) => left[i]! > 0));
      }),
    );
  });

  it('an invoice that is overdue, part paid or open has something left, one that is paid has not', () => {
    fc.assert(
      fc.property(invoices, (invoice) => {
        const { state, balance, isUnpaid } = sumInvoice(invoice, 20_500);
        if (invoice.status === 'sent') expect(state === 'paid').toBe(balance <= 0);
        if (state === 'overdue') expect(balance > 0 && invoice.due_on === '2026-01-01').toBe(true);
        expect(isUnpaid).toBe(['open', 'part paid', 'overdue'].includes(state));
        if (invoice.status !== 'sent') expect(state).toBe(invoice.status);
      }),
    );
  });

  it('a share and the rest of it are the whole, but for the penny that halves may share', () => {
    fc.assert(
      fc.property(amounts, decimal(100, 2), (amount, percent) => {
        const rest = (100 - Number(percent)).toFixed(2);
        const both = percentOf(amount, readDecimal(percent)!) + percentOf(amount, readDecimal(rest)!);
        expect(Math.abs(both - amount)).toBeLessThanOrEqual(1);
        expect(percentOf(-amount, readDecimal(percent)!)).toBe(
          -percentOf(amount, readDecimal(percent)!) || 0,
        );
        expect(percentOf(amount, readDecimal('100')!)).toBe(amount);
      }),
      { numRuns: 1000 },
    );
  });
});

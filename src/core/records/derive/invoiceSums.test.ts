import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readDay } from '../../dates/civil';
import type { InvoiceData } from '../recordsFile';
import { sumInvoice, sumLine } from './invoiceSums';

const today = readDay('2026-03-02')!;
const invoice = (more: Partial<InvoiceData> = {}): InvoiceData => ({
  key: 'LPC-1',
  status: 'sent',
  due_on: '2026-03-02',
  lines: [{ unit_price: 10000 }],
  ...more,
});
const sums = (more?: Partial<InvoiceData>) => sumInvoice(invoice(more), today);

describe('a line', () => {
  it('is quantity × unit price less discount, then tax on the rounded net', () => {
    expect(sumLine({ quantity: '1.5', unit_price: 3401, tax_rate: 20, discount: 10 })).toEqual({
      net: 4591,
      tax: 918,
      amount: 5509,
    });
  });

  it('has one of it, no tax and no discount where nothing is said', () => {
    expect(sumLine({ unit_price: 7800 })).toEqual({ net: 7800, tax: 0, amount: 7800 });
  });
});

describe('an invoice’s state is the first that holds', () => {
  it.each([
    ['void', { status: 'void', due_on: '2026-01-01' }],
    ['draft', { status: 'draft', due_on: '2026-01-01' }],
    ['paid', { payments: [{ amount: 10000 }], due_on: '2026-01-01' }],
    ['paid', { payments: [{ amount: 12000 }] }],
    ['overdue', { due_on: '2026-03-01' }],
    ['overdue', { due_on: '2026-03-01', payments: [{ amount: 1 }] }],
    ['part paid', { payments: [{ amount: 1 }] }],
    ['open', {}],
    ['open', { due_on: undefined }],
    ['paid', { lines: [] }],
    ['paid', { lines: [{ unit_price: -5000 }] }],
  ] as const)('%s', (state, more) => expect(sums(more as Partial<InvoiceData>).state).toBe(state));

  it('is not overdue on the day it is due', () => expect(sums().state).toBe('open'));
});

describe('an invoice', () => {
  it('counts its days', () => {
    expect(sums({ due_on: '2026-02-20' })).toMatchObject({ daysOverdue: 10, daysUntilDue: -10 });
    expect(sums({ due_on: '2026-03-12' })).toMatchObject({ daysOverdue: 0, daysUntilDue: 10 });
    expect(sums({ due_on: '2026-02-20', payments: [{ amount: 10000 }] }).daysOverdue).toBe(0);
  });

  it('fills its instalments in order', () => {
    const instalments = [{ amount: 4000 }, { amount: 4000 }, { amount: 2000 }];
    const { left, nextInstalment } = sums({ instalments, payments: [{ amount: 4500 }] });
    expect(left).toEqual([0, 3500, 2000]);
    expect(nextInstalment).toBe(instalments[1]);
  });

  it('knows its newest payment by the day, not by the order', () => {
    const payments = [
      { paid_on: '2026-02-10', amount: 200 },
      { paid_on: '2026-02-01', amount: 100 },
    ];
    expect(sums({ payments }).lastPayment).toBe(payments[0]);
  });

  it('adds up to its parts, whatever the lines', () => {
    const line = fc.record({
      quantity: fc.integer({ min: 0, max: 9999 }).map((n) => String(n / 100)),
      unit_price: fc.integer({ min: 0, max: 10 ** 7 }),
      tax_rate: fc.constantFrom(0, 5, 19, 20, '17.5'),
      discount: fc.integer({ min: 0, max: 100 }),
    });
    fc.assert(
      fc.property(fc.array(line, { maxLength: 8 }), (lines) => {
        const total = sums({ lines });
        const each = lines.map(sumLine);
        expect(total.net).toBe(each.reduce((sum, one) => sum + one.net, 0));
        expect(total.amount).toBe(total.net + total.tax);
        expect(total.balance).toBe(total.amount - total.paid);
      }),
    );
  });
});

import { readDay, type Day } from '../../dates/civil';
import { lineNet, percentOf, readDecimal } from '../../money/exact';
import type { InstalmentData, InvoiceData, LineData, PaymentData } from '../recordsFile';

type InvoiceState = 'void' | 'draft' | 'paid' | 'overdue' | 'part paid' | 'open';

/** What a line comes to, in minor units. */
export interface LineSums {
  net: number;
  tax: number;
  amount: number;
}

/** Everything about an invoice that is a sum or follows from one, in minor units, on one day. */
export interface InvoiceSums extends LineSums {
  paid: number;
  balance: number;
  state: InvoiceState;
  /** open, part paid or overdue */
  isUnpaid: boolean;
  daysOverdue: number;
  daysUntilDue: number | undefined;
  lastPayment: PaymentData | undefined;
  /** what is left of each instalment, in their order */
  left: readonly number[];
  nextInstalment: InstalmentData | undefined;
}

const ONE = { units: 1n, scale: 1n };
const NONE = { units: 0n, scale: 1n };

/** Rounds three times at most: the net once after the discount, then the tax; half to even. */
export function sumLine(line: LineData): LineSums {
  const decimal = (value: number | string | undefined, absent: typeof ONE) =>
    value === undefined || value === null || value === '' ? absent : (readDecimal(value) ?? absent);
  const net = lineNet(decimal(line.quantity, ONE), line.unit_price ?? 0, decimal(line.discount, NONE));
  const tax = percentOf(net, decimal(line.tax_rate, NONE));
  return { net, tax, amount: net + tax };
}

/** Everything that follows from an invoice's lines and payments on a day; exact, rounded as its lines are. */
export function sumInvoice(invoice: InvoiceData, today: Day): InvoiceSums {
  let [net, tax] = [0, 0];
  for (const line of invoice.lines ?? []) {
    const sums = sumLine(line);
    net += sums.net;
    tax += sums.tax;
  }
  const payments = invoice.payments ?? [];
  const paid = payments.reduce((sum, payment) => sum + (payment.amount ?? 0), 0);
  const total = net + tax;
  const balance = total - paid;
  const due = readDay(invoice.due_on ?? '');
  const state = stateOf(invoice, { paid, balance, due, today });
  const left = leftOf(invoice.instalments ?? [], paid);
  return {
    net,
    tax,
    amount: total,
    paid,
    balance,
    state,
    isUnpaid: state === 'open' || state === 'part paid' || state === 'overdue',
    daysOverdue: state === 'overdue' && due !== undefined ? today - due : 0,
    daysUntilDue: due === undefined ? undefined : due - today,
    lastPayment: newest(payments),
    left,
    nextInstalment: invoice.instalments?.find((_, index) => left[index]! > 0),
  };
}

function stateOf(
  invoice: InvoiceData,
  { paid, balance, due, today }: { paid: number; balance: number; due?: Day; today: Day },
): InvoiceState {
  if (invoice.status === 'void' || invoice.status === 'draft') return invoice.status;
  if (balance <= 0) return 'paid';
  if (due !== undefined && today > due) return 'overdue';
  return paid > 0 ? 'part paid' : 'open';
}

/** Payments fill instalments in order. */
function leftOf(instalments: readonly InstalmentData[], paid: number): number[] {
  let money = paid;
  return instalments.map(({ amount = 0 }) => {
    const taken = Math.max(0, Math.min(money, amount));
    money -= taken;
    return amount - taken;
  });
}

function newest(payments: readonly PaymentData[]): PaymentData | undefined {
  return payments.reduce<PaymentData | undefined>(
    (best, payment) => (best && (best.paid_on ?? '') > (payment.paid_on ?? '') ? best : payment),
    undefined,
  );
}

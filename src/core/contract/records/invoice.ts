import { array, object, string, type InferType } from 'yup';
import { CHOICES } from '../../records/catalogue/choices';
import { sumLine } from '../../records/derive/invoiceSums';
import type { Custom } from '../../records/recordsFile';
import { VERSION } from '../numbers';
import { customFacts, shownCustom, type OwnFields } from './customFacts';
import { day, decimal, line, lines, postalAddress, recordKey, shownSum, sum, webAddress } from './parts';
import { shownAddress } from './shownAddress';

const invoiceLine = (currency: string) =>
  object({
    description: line(1_000).required('Write what it is for.'),
    quantity: decimal(-1_000_000, 1_000_000),
    unit_price: sum(currency).required('Write what one costs.'),
    tax_rate: decimal(0, 100),
    discount: decimal(0, 100),
  }).noUnknown();

const instalment = (currency: string) =>
  object({
    due_on: day().required('Write when it is due.'),
    amount: sum(currency)
      .required('Write how much.')
      .test('amount', 'A part is more than nothing.', (amount) => (amount ?? 0) > 0),
  }).noUnknown();

const FACTS = {
  version: VERSION,
  /** the client and the project by their keys */
  client: recordKey().required('Choose whose it is.'),
  project: recordKey(),
  /** as it stands; it changes by issuing and voiding */
  status: string().oneOf(CHOICES['invoice.status']).required(),
  issued_on: day(),
  due_on: day(),
  bill_to: postalAddress(),
  pay_link: webAddress(),
  notes: lines(20_000),
};
const parts = (currency: string) => ({
  lines: array(invoiceLine(currency))
    .required()
    .min(1, 'An invoice has at least one line.')
    .max(500, 'At most 500 lines.'),
  instalments: array(instalment(currency)).required().max(100, 'At most 100 parts.'),
});
const plain = ({ currency }: OwnFields) => object({ ...FACTS, ...parts(currency) });

/** An invoice's facts with the version that was seen. Dates are ISO, sums minor units, quantities decimals in text. */
export function invoiceFacts(own: OwnFields) {
  return plain(own)
    .shape({ custom: customFacts('invoice', own) })
    .noUnknown()
    .test(
      'order',
      'It is due before it is issued.',
      ({ issued_on, due_on }, { createError }) =>
        !issued_on || !due_on || due_on >= issued_on || createError({ path: 'due_on' }),
    )
    .test('whole', '', ({ lines: all = [], instalments = [] }, { createError }) => {
      // What is no sum yet is told at its own place.
      const sums = [...all.map((one) => one.unit_price), ...instalments.map((part) => part.amount)];
      if (instalments.length === 0 || sums.some((amount) => typeof amount !== 'number')) return true;
      const total = totalOf(all);
      const inParts = instalments.reduce((whole, { amount }) => whole + amount, 0);
      return (
        inParts === total ||
        createError({
          path: 'instalments',
          message: `The parts come to ${shownSum(inParts, own.currency)}, the invoice to ${shownSum(total, own.currency)}.`,
        })
      );
    });
}
/** What a file brings of an invoice that was issued elsewhere, with what was paid on it. */
export function broughtInvoiceFacts(own: OwnFields) {
  return plain(own)
    .pick(['client', 'issued_on', 'due_on', 'notes', 'lines'])
    .shape({
      number: line(100).required(),
      status: string().oneOf(['sent', 'void']).required(),
      issued_on: day().required(),
      payments: array(
        object({
          paid_on: day().required(),
          amount: sum(own.currency).required(),
          method: line(100),
        }).noUnknown(),
      )
        .required()
        .max(500),
    })
    .noUnknown();
}

export type InvoiceFacts = InferType<ReturnType<typeof plain>> & { custom?: Custom };
export type LineFacts = InvoiceFacts['lines'][number];
export type InstalmentFacts = InvoiceFacts['instalments'][number];

/** What an invoice comes to, in minor units. */
function totalOf(all: readonly Partial<LineFacts>[]): number {
  return all.reduce((whole, one) => whole + sumLine(withoutNothing(one)).amount, 0);
}

function withoutNothing<T extends object>(row: T): { [K in keyof T]: NonNullable<T[K]> } {
  return Object.fromEntries(Object.entries(row).filter(([, value]) => value !== undefined)) as never;
}

/** A line as a form's controls show it. */
export function shownLine(
  { description = '', quantity = '', unit_price, tax_rate = '', discount = '' }: Partial<LineFacts>,
  { currency }: OwnFields,
) {
  return { description, quantity, unit_price: shownSum(unit_price, currency), tax_rate, discount };
}

/** A part in which it is paid, as a form's controls show it. */
export function shownInstalment({ due_on = '', amount }: Partial<InstalmentFacts>, { currency }: OwnFields) {
  return { due_on, amount: shownSum(amount, currency) };
}

/** As a form's controls show them. */
export function shownInvoice(
  { version: _, bill_to, lines: all, instalments, custom, ...facts }: InvoiceFacts,
  own: OwnFields,
) {
  return {
    project: '',
    issued_on: '',
    due_on: '',
    pay_link: '',
    notes: '',
    ...facts,
    bill_to: shownAddress(bill_to),
    lines: all.map((one) => shownLine(one, own)),
    instalments: instalments.map((one) => shownInstalment(one, own)),
    custom: shownCustom('invoice', custom, own),
  };
}

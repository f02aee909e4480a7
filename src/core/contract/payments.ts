import { boolean, number, object, string, type InferType } from 'yup';
import { readDay } from '../dates/civil';
import { LARGEST_SUM } from '../money/currency';
import { VERSION, WHOLE_NUMBER } from './numbers';
import type { Refusal } from './refusal';

/** A payment to be written down: given to `/api/invoices/<key>/payments`, and read by the form itself. */
export const PAYMENT = object({
  version: VERSION,
  /** minor units */
  amount: number()
    .integer()
    .typeError('Write what was paid, as 96 or 96.00.')
    .positive('Write what was paid, as 96 or 96.00.')
    .max(LARGEST_SUM, 'That is more than anybody pays. Look at it again.')
    .required('Write what was paid, as 96 or 96.00.'),
  /** ISO date */
  paid_on: string()
    .required('Write the day it was paid.')
    .test('day', 'Write the day it was paid, as 2026-03-31.', (text) => readDay(text) !== undefined),
  method: string().trim().max(100, 'Say in fewer words how it was paid.'),
  /** it may be more than what is open */
  more: boolean(),
}).noUnknown();
export type PaymentRequest = InferType<typeof PAYMENT>;

/** An invoice that something may still be paid on. */
export interface Payable {
  version: number;
  currency: string;
  /** what is still open, as it is typed: "96.00" */
  open: string;
  /** ISO date */
  today: string;
}

/** A payment that has just been written down and is to be taken away again: given to the same place. */
export const PAYMENT_TO_UNDO = object({
  version: VERSION,
  /** tells the payment among its invoice's */
  position: WHOLE_NUMBER.min(0),
}).noUnknown();
export type PaymentToUndo = InferType<typeof PAYMENT_TO_UNDO>;

/** What became of a payment. */
export type Recording =
  | { result: 'recorded'; invoice: PaymentToUndo }
  /** it is over what is open, and was not meant so */
  | { result: 'more'; open: number }
  /** the invoice is no longer as it was seen */
  | { result: 'overtaken' }
  | { result: 'gone' };

/** What is answered to a payment: what became of it, or why nothing did. */
export type PaymentAnswer =
  | Extract<Recording, { result: 'recorded' | 'more' }>
  | (Omit<Refusal, 'result'> & { result?: 'overtaken' | 'gone' });

import { array, object, string, type InferType, type ObjectSchema } from 'yup';
import type {
  BroughtBooking,
  BroughtClient,
  BroughtInvoice,
  BroughtKind,
  BroughtPayment,
} from '../bringing/brought';
import { VERSION, WHOLE_NUMBER } from './numbers';
import { broughtBookingFacts } from './records/booking';
import { broughtClientFacts } from './records/client';
import type { OwnFields } from './records/customFacts';
import { broughtInvoiceFacts } from './records/invoice';
import { day, line, recordKey, sum } from './records/parts';

/** So many rows are given, and looked for, at once. */
export const ROWS_AT_ONCE = 500;
/** What they come to in JSON at most, in bytes. */
export const MOST_OF_ROWS = 2_000_000;
/** What was brought in can be taken out again for so many days. */
export const TAKEN_OUT_FOR_DAYS = 7;

const KINDS = ['client', 'booking', 'invoice', 'payment'] as const satisfies readonly BroughtKind[];

/** A file that is to be brought in: given to `/api/bringing`, under an id by which it is the same when asked for again. */
export const NEW_BRINGING = object({
  id: string().uuid().required(),
  kind: string().oneOf(KINDS).required(),
  /** the file's */
  name: line(300).required(),
  total: VERSION.max(50_000),
  /** of a table: what heads its columns, and what each was taken for */
  heads: array(string().max(1_000).defined()).required().max(200),
  columns: array(string().max(150).nullable().defined()).required().max(200),
}).noUnknown();
export type NewBringing = InferType<typeof NEW_BRINGING>;

/** What stands in a row when it comes in: the facts of the file, with whose it is by the client's key. */
export interface ComingFacts {
  client: BroughtClient;
  booking: Omit<BroughtBooking, 'whose'> & { client: string };
  invoice: Omit<BroughtInvoice, 'whose'> & { client: string };
  /** of the invoice by its key */
  payment: Omit<BroughtPayment, 'number'> & { invoice: string };
}
export interface ComingRow<Kind extends BroughtKind = BroughtKind> {
  row: number;
  facts: ComingFacts[Kind];
}

const FACTS: Readonly<Record<BroughtKind, (own: OwnFields) => ObjectSchema<object>>> = {
  client: broughtClientFacts,
  booking: broughtBookingFacts,
  invoice: broughtInvoiceFacts,
  payment: ({ currency }) =>
    object({
      invoice: recordKey().required(),
      paid_on: day().required(),
      amount: sum(currency).required(),
      method: line(100),
      reference: line(),
    }).noUnknown(),
};

/** Some of its rows: given to `/api/bringing/<id>/rows`, by their place among all parts. */
export function someRows(kind: BroughtKind, own: OwnFields) {
  return object({
    position: WHOLE_NUMBER.min(0).max(50_000),
    rows: array(object({ row: WHOLE_NUMBER, facts: FACTS[kind](own).required() }).noUnknown())
      .required()
      .min(1)
      .max(ROWS_AT_ONCE),
  }).noUnknown();
}

/** What is to be done with it: given to `/api/bringing/<id>`. */
export const BRINGING_ACT = object({ act: string().oneOf(['bring in', 'take out']).required() }).noUnknown();

/** How far it has come. */
export interface BringingState {
  id: string;
  kind: BroughtKind;
  name: string;
  /** its rows are being given; they wait to come in or are coming; they are in; they are being taken out; they are out */
  state: 'given' | 'coming' | 'in' | 'going' | 'out';
  total: number;
  done: number;
  /** what stayed out, or stayed in, each with its reason */
  leftOver: { name: string; message: string }[];
}

/** One that was brought in, as it is listed. */
export interface ListedBringing extends BringingState {
  /** when and by whom, in words */
  note: string;
  /** it can still be taken out again */
  canGoOut: boolean;
}

const words = () => array(string().max(500).required()).required().max(30);

/** Whose rows are, and what of them is there: given to `/api/bringing/matches`. */
export const MATCHES = object({
  kind: string().oneOf(KINDS).required(),
  rows: array(
    object({
      row: WHOLE_NUMBER,
      emails: words(),
      phones: words(),
      names: words(),
      /** an invoice's number, or a visit's mark */
      mark: string().max(500),
    }).noUnknown(),
  )
    .required()
    .max(ROWS_AT_ONCE),
}).noUnknown();
export type AskedMatches = InferType<typeof MATCHES>;

/** What is there of a row. */
export interface Match {
  row: number;
  /** clients that it may be, or be of, the surest first, each by what it was found */
  clients: { key: string; name: string; by: 'email' | 'number' | 'name' | 'last name' }[];
  /** what has its mark: an invoice by its key with what is open on it, or a visit; and whose it is */
  there?: { key: string; client: string; client_key: string; open?: number };
}

/** What the columns of such a table were taken for the last time: asked of `/api/bringing/columns`. */
export const HEADS = object({ heads: array(string().max(1_000).defined()).required().max(200) }).noUnknown();
/** Empty: such a table was not brought in yet. */
export interface RememberedColumns {
  kind?: BroughtKind;
  columns?: (string | null)[];
}

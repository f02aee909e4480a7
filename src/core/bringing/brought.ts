import type { AddressData, Custom, CustomFieldData } from '../records/recordsFile';
import type { CHOICES } from '../records/catalogue/choices';

/** What of a business a file can bring. */
export type BroughtKind = 'client' | 'booking' | 'invoice' | 'payment';

/** A row of a file, a card or an event: what was understood, and what was not. */
export interface BroughtRow<Facts = BroughtFacts[BroughtKind]> {
  /** the line, the card or the event that it comes from, counted from 1 */
  row: number;
  /** undefined: too little was understood to make a record of it */
  facts?: Facts;
  /** where nothing can be made of it: what it says */
  says?: string;
  doubts: Doubt[];
}

/** Something in a row that was not understood, or is left out. */
export interface Doubt {
  /** the column's or property's name, as the file has it */
  column: string;
  /** what stands there */
  words: string;
  message: string;
  /** what it is mended by: what is written for it is read instead of what stands there */
  fact?: string;
}

/** What was written instead of what a row says, by the fact. */
export type Mends = Readonly<Record<string, string>>;

/** How the business that it comes to writes, and what it has. */
export interface OwnWays {
  /** BCP 47: tells day from month, and the point of a sum */
  locale: string;
  currency: string;
  /** IANA: the clock of what names no zone */
  zone: string;
  hourCycle: 12 | 24;
  /** in milliseconds: what was before it is over */
  now: number;
  fields: readonly CustomFieldData[];
  /** what it usually does, each with its usual length in minutes */
  services: readonly { name: string; minutes?: number }[];
}

export interface BroughtFacts {
  client: BroughtClient;
  booking: BroughtBooking;
  invoice: BroughtInvoice;
  payment: BroughtPayment;
}

/** What is known of a client that comes in. */
export interface BroughtClient {
  kind: (typeof CHOICES)['client.kind'][number];
  name: string;
  given_name?: string;
  family_name?: string;
  honorific?: string;
  preferred_name?: string;
  email?: string;
  phone?: string;
  more_phones?: { use: string; number: string }[];
  more_addresses?: { use: string; address: AddressData }[];
  mobile?: string;
  address?: AddressData;
  language?: string;
  tags: string[];
  since?: string;
  source?: string;
  notes?: string;
  custom?: Custom;
}

/** Whose something is, as far as a file says it: a client is found by it. */
interface Whose {
  /** addresses, the surest first */
  emails: string[];
  /** words in which a name may stand */
  names: string[];
}

/** A visit that comes in; moments are ISO with offset. */
export interface BroughtBooking {
  /** tells it when it comes again: the event's, with the day of its occurrence where there are several */
  uid: string;
  whose: Whose;
  service: string;
  status: (typeof CHOICES)['booking.status'][number];
  starts_at: string;
  ends_at: string;
  location?: AddressData;
  notes?: string;
}

/** An invoice that comes in, as it was issued elsewhere; dates are ISO, sums minor units, quantities decimals in text. */
export interface BroughtInvoice {
  number: string;
  whose: Whose;
  status: 'sent' | 'void';
  issued_on: string;
  due_on?: string;
  lines: { description: string; quantity?: string; unit_price: number; tax_rate?: string }[];
  payments: { paid_on: string; amount: number; method?: string }[];
  notes?: string;
}

/** A payment that comes in. */
export interface BroughtPayment {
  /** of the invoice that it is for */
  number: string;
  paid_on: string;
  amount: number;
  method?: string;
  reference?: string;
}

/** Facts without those that are not there. */
export function present<Facts extends object>(facts: {
  [Fact in keyof Facts]: Facts[Fact] | undefined;
}): Facts {
  return Object.fromEntries(Object.entries(facts).filter(([, value]) => value !== undefined)) as Facts;
}

import type { BookingWords } from '../../records/bookingWords';
import type { AddressData } from '../../records/recordsFile';
import type { OwnFields } from './customFacts';
import type { WorkWays } from './workWays';

/** A record that can be chosen: its key, and what it is called. */
export type Choosable = readonly [key: string, name: string];

/** What records are written down with. */
export interface FormChoices {
  locale: string;
  /** what the business calls a thing that it works on */
  itemLabel: string;
  /** what it calls a booking */
  words: BookingWords;
  own: OwnFields;
  members: readonly Choosable[];
  partners: readonly Choosable[];
  ways: WorkWays;
  /** ISO date, in the business's zone */
  today: string;
}

/** What of a client's a record of theirs can name: given by `/api/clients/<key>/parts`. */
export interface ClientParts {
  key: string;
  name: string;
  address?: AddressData;
  /** others of theirs, each with what it is for */
  addresses: (readonly [use: string, address: AddressData])[];
  /** where invoices go */
  billing: AddressData | undefined;
  items: Choosable[];
  contacts: Choosable[];
  /** those that go on come first */
  projects: Choosable[];
}

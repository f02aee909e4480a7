import { CATALOGUE } from '../records/catalogue/catalogue';
import type { RecordKind } from '../records/recordKind';
import { capital } from './capital';

/** What heads a fact on its record's page, where that is not its label: shorter, as the page says whose it is. */
export const HEADINGS: Readonly<Partial<Record<RecordKind, Readonly<Record<string, string>>>>> = {
  client: {
    outstanding: 'Still open',
    phone: 'Telephone',
    billing_address: 'Invoices to',
    preferred_name: 'Called',
    language: 'Writes',
    responsible: 'Looked after by',
    no_letters_since: 'Asked for no letters on',
    contacts: 'People',
  },
  contact: { full_name: 'Name', phone: 'Telephone' },
  item: { kind: 'What' },
  enquiry: {
    via: 'By',
    phone: 'Telephone',
  },
  project: {
    starts_on: 'Begins',
    ends_on: 'Ends',
    location: 'Where',
    responsible: 'Looked after by',
  },
  booking: {
    starts_at: 'Begins',
    ends_at: 'Ends',
    status: 'State',
    member: 'Who comes',
    location: 'Where',
  },
  invoice: { due_on: 'Due', balance: 'Still open', bill_to: 'To' },
  line: { description: 'What' },
  payment: { paid_on: 'On', method: 'By' },
  instalment: { due_on: 'Due' },
};

/** The words over a fact of the catalogue. @throws TypeError where the catalogue has no such fact */
export function headingOf(kind: RecordKind, key: string, own = HEADINGS[kind]): string {
  const label = CATALOGUE[kind].get(key)?.label;
  if (label === undefined) throw new TypeError(`${kind} has no ${key}`);
  return own?.[key] ?? capital(label);
}

import type { OwnRecords, RecordBook } from '../recordBook';
import type { StartingKind } from '../recordKind';
import type {
  BookingData,
  ClientData,
  ContactData,
  EnquiryData,
  InvoiceData,
  MemberData,
  ProjectData,
} from '../recordsFile';
import { choice, type Choice } from './choice';
import { bookingOf, bookingOfInvoice } from './chooseBooking';
import { invoiceOf } from './chooseInvoice';
import { projectOf } from './chooseProject';
import { addressableOf, colleagueOf, copiesOf, recipientOf, type Recipient } from './chooseRecipient';
import { clientWithAddress, newClientOf } from './newClient';

/** The record a message is written from; or someone who is in none yet, as a client whose key says who (newClientOf). */
export interface StartingPoint {
  kind: StartingKind;
  key: string;
}

/**
 * What the writer decided; everything left out follows by rule. A wish for a record of the starting point's own kind
 * takes the starting point's place.
 */
export interface Wishes {
  sender: MemberData;
  recipients?: readonly Recipient[];
  /** whom the letter is for; absent: the client */
  writtenTo?: 'client' | 'partner' | 'member';
  project?: string;
  booking?: string;
  invoice?: string;
}

/** The records one letter is filled from, each with its reason and alternatives. */
export interface Situation {
  start: StartingPoint;
  book: RecordBook;
  sender: MemberData;
  client?: Choice<ClientData>;
  enquiry?: Choice<EnquiryData>;
  project?: Choice<ProjectData>;
  booking?: Choice<BookingData>;
  invoice?: Choice<InvoiceData>;
  /** one, unless the writer chose several */
  recipients: readonly Choice<Recipient>[];
  /** everyone it could go to, those it is meant for first */
  addressable: readonly Recipient[];
  copies: readonly ContactData[];
  /** of the days that the enquiry asks for: whether none is free; absent: it asks for none, or that is not known */
  daysTaken?: boolean;
}

/** What a starting point leads to, itself included. The others can only be reached through a listing. */
export const LEADS_TO: Readonly<Record<StartingKind, readonly StartingKind[]>> = {
  invoice: ['invoice', 'project', 'client', 'booking'],
  booking: ['booking', 'project', 'client', 'invoice'],
  project: ['project', 'client', 'booking', 'invoice'],
  client: ['client', 'project', 'booking', 'invoice'],
  enquiry: ['enquiry', 'client', 'project', 'booking', 'invoice'],
};

/** Follows from the starting point to every other record (docs/templates.md, “Which record?”). Undefined: no such record. */
export function situationFrom(book: RecordBook, start: StartingPoint, wishes: Wishes): Situation | undefined {
  const records = follow(book, start, wishes);
  if (!records) return undefined;
  const client = records.client?.record;
  const toClient = (wishes.writtenTo ?? 'client') === 'client';
  const byRule = toClient
    ? whoseAddress(start, recipientOf(book, start.kind, client, records.project?.record))
    : colleagueOf(book, wishes.writtenTo as 'partner' | 'member', {
        client,
        project: records.project?.record,
        booking: records.booking?.record,
      });
  const wished = wishes.recipients?.map((record): Choice<Recipient> => ({
    record,
    reason: 'chosen for this letter',
    alternatives: byRule ? [byRule.record, ...byRule.alternatives] : [],
  }));
  const recipients = wished ?? (byRule ? [byRule] : []);
  const addressed = new Set(recipients.map(({ record }) => record.data));
  return {
    start,
    book,
    sender: wishes.sender,
    ...records,
    recipients,
    addressable: addressableOf(book, client, wishes.writtenTo ?? 'client'),
    copies: toClient ? copiesOf(start.kind, client).filter((contact) => !addressed.has(contact)) : [],
  };
}

type Followed = Pick<Situation, 'client' | 'enquiry' | 'project' | 'booking' | 'invoice'>;

function follow(book: RecordBook, start: StartingPoint, wishes: Wishes): Followed | undefined {
  switch (start.kind) {
    case 'invoice':
      return fromInvoice(
        book,
        startingRecord(book, 'invoices', start.key, wishes.invoice, 'the invoice you started from'),
        wishes,
      );
    case 'booking':
      return fromBooking(
        book,
        startingRecord(
          book,
          'bookings',
          start.key,
          wishes.booking,
          `the ${book.words.booking} you started from`,
        ),
        wishes,
      );
    case 'project': {
      const chosen = startingRecord(
        book,
        'projects',
        start.key,
        wishes.project,
        'the project you started from',
      );
      if (!chosen) return undefined;
      return withVisitsAndInvoices(
        book,
        clientOf(book, chosen.record.client, 'the project’s client'),
        chosen,
        wishes,
      );
    }
    case 'client': {
      const client = book.clients.get(start.key);
      if (client) return fromClient(book, choice(client, 'the client you started from'), wishes);
      return fromAddress(book, start.key, wishes);
    }
    case 'enquiry':
      return fromEnquiry(book, book.enquiries.get(start.key), wishes);
  }
}

function fromInvoice(
  book: RecordBook,
  start: Choice<InvoiceData> | undefined,
  wishes: Wishes,
): Followed | undefined {
  if (!start) return undefined;
  const invoice = start.record;
  const client = clientOf(book, invoice.client, 'the invoice’s client');
  const project = choice(book.projects.get(wishes.project ?? invoice.project ?? ''), 'the invoice’s project');
  return {
    client,
    project,
    booking: wished(
      book.bookings,
      wishes.booking,
      bookingOfInvoice(book, invoice, project?.record, client?.record),
    ),
    invoice: start,
  };
}

function fromBooking(
  book: RecordBook,
  start: Choice<BookingData> | undefined,
  wishes: Wishes,
): Followed | undefined {
  if (!start) return undefined;
  const booking = start.record;
  const client = clientOf(book, booking.client, `the ${book.words.booking}’s client`);
  const project = choice(
    book.projects.get(wishes.project ?? booking.project ?? ''),
    `the ${book.words.booking}’s project`,
  );
  const invoice = invoiceOf(book, project?.record, client?.record);
  return {
    client,
    project,
    booking: start,
    invoice: wished(book.invoices, wishes.invoice, invoice),
  };
}

function fromClient(book: RecordBook, client: Choice<ClientData> | undefined, wishes: Wishes): Followed {
  const project = projectOf(book, client?.record);
  return withVisitsAndInvoices(book, client, wished(book.projects, wishes.project, project), wishes);
}

/** Whoever has the address by now; else someone who is in no record yet, and stands in for the client. */
function fromAddress(book: RecordBook, key: string, wishes: Wishes): Followed | undefined {
  const nobody = newClientOf(key);
  if (!nobody) return undefined;
  const known = clientWithAddress(book, nobody.email);
  return fromClient(
    book,
    choice(known, 'the client who has this address') ??
      choice(nobody, 'whoever has this address, no client yet'),
    wishes,
  );
}

/** Of a client’s people the one who has the address that a letter starts from. */
function whoseAddress(
  { kind, key }: StartingPoint,
  byRule: Choice<Recipient> | undefined,
): Choice<Recipient> | undefined {
  const asked = kind === 'client' ? newClientOf(key) : undefined;
  if (!asked || !byRule) return byRule;
  const all = [byRule.record, ...byRule.alternatives];
  const whose = all.find(({ data }) => data.email?.toLowerCase() === asked.email.toLowerCase());
  return choice(whose, 'whose address it is', all) ?? byRule;
}

/** Someone who is no client yet stands in for the client with the name and addresses given. */
function fromEnquiry(
  book: RecordBook,
  enquiry: EnquiryData | undefined,
  wishes: Wishes,
): Followed | undefined {
  if (!enquiry) return undefined;
  const own = choice(enquiry, 'the enquiry you started from');
  const client = clientOf(book, enquiry.client, 'the client who asks');
  if (client) return { ...fromClient(book, client, wishes), enquiry: own };
  const { key, name, email, phone } = enquiry;
  return {
    enquiry: own,
    client: choice({ key, kind: 'person', name, email, phone }, 'the enquirer, no client yet'),
  };
}

function withVisitsAndInvoices(
  book: RecordBook,
  client: Choice<ClientData> | undefined,
  project: Choice<ProjectData> | undefined,
  wishes: Wishes,
): Followed {
  const booking = bookingOf(book, project?.record, client?.record);
  const invoice = invoiceOf(book, project?.record, client?.record);
  return {
    client,
    project,
    booking: wished(book.bookings, wishes.booking, booking),
    invoice: wished(book.invoices, wishes.invoice, invoice),
  };
}

function clientOf(book: RecordBook, key: string | undefined, reason: string): Choice<ClientData> | undefined {
  return choice(book.clients.get(key ?? ''), reason);
}

/** The record a letter starts from, or another of the same client that was chosen instead. */
function startingRecord<K extends 'projects' | 'bookings' | 'invoices'>(
  book: RecordBook,
  name: K,
  key: string,
  wish: string | undefined,
  reason: string,
): Choice<OwnRecords[K][number]> | undefined {
  type One = OwnRecords[K][number];
  const start = book[name].get(key) as One | undefined;
  if (!start) return undefined;
  const siblings = book.ofClient(book.clients.get(start.client ?? ''))[name] as readonly One[];
  const other = wish === undefined || wish === key ? undefined : siblings.find((one) => one.key === wish);
  return other ? choice(other, 'chosen for this letter', siblings) : choice(start, reason, siblings);
}

/** The record the writer chose; without a wish, or where it is gone, the one the rule takes. */
function wished<T extends { key: string }>(
  records: ReadonlyMap<string, T>,
  key: string | undefined,
  byRule: Choice<T> | undefined,
): Choice<T> | undefined {
  const record = key === undefined ? undefined : records.get(key);
  if (!record) return byRule;
  const others = byRule ? [byRule.record, ...byRule.alternatives] : [];
  return choice(record, 'chosen for this letter', others);
}

import { readDay } from '../../dates/civil';
import { readMoment, dayAt } from '../../dates/zone';
import { familyName, fullName, givenName, greetingName, honorificOf, type Named } from '../../people/names';
import type { RecordBook } from '../recordBook';
import { startOf } from '../recordBook';
import type { RecordKind } from '../recordKind';
import type {
  BookingData,
  ClientData,
  InstalmentData,
  InvoiceData,
  LineData,
  ProjectData,
} from '../recordsFile';
import { sumLine } from './invoiceSums';

/** What a derivation may ask besides the record itself. */
export interface Deriving {
  book: RecordBook;
  /** everyone the letter goes to */
  recipients: readonly { record: { kind: string; data: Named } }[];
  /** joins names as the language of the letter does: "Ada and Tom" */
  and: (names: string[]) => string;
}

/** Works a derived fact out. Gives the values of values.ts, undefined where the fact is missing. */
export type Derivation = (record: never, deriving: Deriving) => unknown;

const greeted = {
  greeting_name: (record: Named, { and }: Deriving) => greetingName(record, and),
  full_name: (record: Named) => fullName(record),
};

/** Whoever has a name in one string has its parts, too. */
const parted = {
  ...greeted,
  given_name: (record: Named, { and }: Deriving) => givenName(record, and),
  family_name: (record: Named) => familyName(record),
  honorific: (record: Named) => honorificOf(record),
};

/** The first recipient, with the kind that its name is read by: a partner's is a firm's. */
function asAddressed(data: Named, { recipients }: Deriving): Named {
  const { kind } = recipients[0]?.record ?? {};
  return kind === 'partner' || kind === 'member' ? { ...data, kind } : data;
}

/** One entry for each field that the catalogue calls derived; a test holds the two together. */
export const DERIVATIONS: Readonly<Partial<Record<RecordKind, Readonly<Record<string, Derivation>>>>> = {
  contact: greeted,
  recipient: {
    full_name: greeted.full_name,
    greeting_name: (first: Named, deriving: Deriving) => {
      const { recipients, and } = deriving;
      if (recipients.length < 2) return greetingName(asAddressed(first, deriving), and);
      const names = recipients.flatMap(
        ({ record: { kind, data } }) =>
          greetingName(kind === 'partner' ? { ...data, kind } : data, and) ?? [],
      );
      return and(names) || undefined;
    },
    given_name: (first: Named, deriving: Deriving) => givenName(asAddressed(first, deriving), deriving.and),
    family_name: (first: Named, deriving: Deriving) => familyName(asAddressed(first, deriving)),
    honorific: (first: Named, deriving: Deriving) => honorificOf(asAddressed(first, deriving)),
  },
  // The whole name is stored, but may be left to the parts, and the parts to the whole.
  member: {
    full_name: greeted.full_name,
    given_name: parted.given_name,
    family_name: parted.family_name,
  },
  client: {
    ...parted,
    outstanding: (client: ClientData, { book }) => book.outstanding(book.ofClient(client).invoices),
    next_booking: (client: ClientData, { book }) => book.nextOf(book.ofClient(client).bookings),
    last_booking: (client: ClientData, { book }) => book.lastOf(book.ofClient(client).bookings),
    projects: (client: ClientData, { book }) => book.ofClient(client).projects,
    bookings: (client: ClientData, { book }) => book.ofClient(client).bookings,
    invoices: (client: ClientData, { book }) => book.ofClient(client).invoices,
    unpaid_invoices: (client: ClientData, { book }) => book.unpaid(book.ofClient(client).invoices),
    enquiries: (client: ClientData, { book }) => book.ofClient(client).enquiries,
  },
  project: {
    next_booking: (project: ProjectData, { book }) => book.nextOf(book.ofProject(project).bookings),
    last_booking: (project: ProjectData, { book }) => book.lastOf(book.ofProject(project).bookings),
    bookings: (project: ProjectData, { book }) => book.ofProject(project).bookings,
    invoices: (project: ProjectData, { book }) => book.ofProject(project).invoices,
    unpaid_invoices: (project: ProjectData, { book }) => book.unpaid(book.ofProject(project).invoices),
    outstanding: (project: ProjectData, { book }) => book.outstanding(book.ofProject(project).invoices),
    hours_booked: (project: ProjectData, { book }) =>
      book
        .ofProject(project)
        .bookings.filter((booking) => booking.status !== 'cancelled')
        .reduce((minutes, booking) => minutes + (minutesOf(booking) ?? 0), 0),
  },
  booking: {
    date: (booking: BookingData, { book }) =>
      booking.starts_at ? dayAt(startOf(booking), book.zone) : undefined,
    end_time: (booking: BookingData) => readMoment(booking.ends_at ?? ''),
    duration: (booking: BookingData) => minutesOf(booking),
    is_past: (booking: BookingData, { book }) =>
      booking.starts_at ? (readMoment(booking.ends_at ?? '') ?? startOf(booking)) < book.now : undefined,
    days_until: (booking: BookingData, { book }) =>
      booking.starts_at ? dayAt(startOf(booking), book.zone) - book.today : undefined,
  },
  invoice: {
    net: (invoice: InvoiceData, { book }) => book.sumsOf(invoice).net,
    tax: (invoice: InvoiceData, { book }) => book.sumsOf(invoice).tax,
    total: (invoice: InvoiceData, { book }) => book.sumsOf(invoice).amount,
    paid: (invoice: InvoiceData, { book }) => book.sumsOf(invoice).paid,
    balance: (invoice: InvoiceData, { book }) => book.sumsOf(invoice).balance,
    state: (invoice: InvoiceData, { book }) => book.sumsOf(invoice).state,
    is_overdue: (invoice: InvoiceData, { book }) => book.sumsOf(invoice).state === 'overdue',
    is_paid: (invoice: InvoiceData, { book }) => book.sumsOf(invoice).state === 'paid',
    days_overdue: (invoice: InvoiceData, { book }) => book.sumsOf(invoice).daysOverdue,
    days_until_due: (invoice: InvoiceData, { book }) => book.sumsOf(invoice).daysUntilDue,
    last_payment: (invoice: InvoiceData, { book }) => book.sumsOf(invoice).lastPayment?.amount,
    last_paid_on: (invoice: InvoiceData, { book }) =>
      readDay(book.sumsOf(invoice).lastPayment?.paid_on ?? ''),
    next_instalment: (invoice: InvoiceData, { book }) => book.sumsOf(invoice).nextInstalment,
  },
  line: {
    quantity: (line: LineData) => given(line.quantity, 1),
    tax_rate: (line: LineData) => given(line.tax_rate, 0),
    discount: (line: LineData) => given(line.discount, 0),
    net: (line: LineData) => sumLine(line).net,
    tax: (line: LineData) => sumLine(line).tax,
    amount: (line: LineData) => sumLine(line).amount,
  },
  instalment: {
    left: (instalment: InstalmentData, { book }) => book.leftOf(instalment),
  },
};

/** A decimal as written, or what its absence means. */
function given(value: number | string | null | undefined, absent: number): number {
  return value === undefined || value === null || value === '' ? absent : Number(value);
}

/** Elapsed minutes, the clock change included. */
function minutesOf(booking: BookingData): number | undefined {
  const end = readMoment(booking.ends_at ?? '');
  if (!booking.starts_at || end === undefined) return undefined;
  return Math.round((end - startOf(booking)) / 60_000);
}

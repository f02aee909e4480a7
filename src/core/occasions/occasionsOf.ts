import { dayAt, readMoment } from '../dates/zone';
import { formatsOf } from '../fill/formats/formatsOf';
import type { PastLetter } from '../fitting/fittingTemplates';
import type { RecordBook } from '../records/recordBook';
import { startOf } from '../records/recordBook';
import type { BookingData, EnquiryData, InvoiceData } from '../records/recordsFile';
import type { StartingPoint } from '../records/which/situation';

/** A reason to write to someone now, worked out from the records. */
export interface Occasion {
  start: StartingPoint & { kind: 'booking' | 'invoice' | 'enquiry' };
  /** whom it is about */
  name: string;
  /** "Visit tomorrow at 09:30, not yet written about" */
  reason: string;
  /** the smaller, the sooner something should be written */
  rank: number;
}

/** How many days ahead a visit is worth a letter. */
export const DAYS_AHEAD = 3;

/**
 * What is worth writing today: the visits of the next days (today's are seen, not written about), enquiries nobody answered, invoices overdue and open;
 * the most pressing first. What was written about lately comes after the rest of its kind.
 */
export function occasionsOf(book: RecordBook, letters: readonly PastLetter[]): Occasion[] {
  const lately = lastLetters(letters);
  return [
    ...[...book.bookings.values()].flatMap((booking) => ofVisit(book, booking, lately)),
    ...[...book.enquiries.values()].flatMap((enquiry) => ofEnquiry(book, enquiry)),
    ...[...book.invoices.values()].flatMap((invoice) => ofInvoice(book, invoice, lately)),
  ].sort((a, b) => a.rank - b.rank);
}

type LastLetters = ReadonlyMap<string, string>;

function lastLetters(letters: readonly PastLetter[]): LastLetters {
  const last = new Map<string, string>();
  for (const { about, at } of letters) {
    const key = `${about.kind}:${about.key}`;
    if ((last.get(key) ?? '') < at) last.set(key, at);
  }
  return last;
}

function ofVisit(book: RecordBook, booking: BookingData, letters: LastLetters): Occasion[] {
  if (booking.status !== 'confirmed' && booking.status !== 'tentative') return [];
  const start = startOf(booking);
  const day = dayAt(start, book.zone);
  if (day <= book.today || day - book.today > DAYS_AHEAD) return [];
  const formats = formatsOf(book);
  const when = `${formats.fromNow(day, book.today)} at ${formats.time(start)}`;
  const written = letters.get(`booking:${booking.key}`);
  // A day that has passed since the last letter counts as nothing: the confirmation went out weeks ago.
  const reminded = written !== undefined && book.today - dayOf(written, book) <= DAYS_AHEAD;
  return [
    {
      start: { kind: 'booking', key: booking.key },
      name: clientName(book, booking.client),
      reason: `Visit ${when}, ${since(book, written) ?? 'not yet written about'}`,
      rank: day - book.today + (reminded ? 1000 : 0),
    },
  ];
}

function ofEnquiry(book: RecordBook, enquiry: EnquiryData): Occasion[] {
  if (enquiry.status !== 'waiting') return [];
  const day = dayOf(enquiry.received_at ?? '', book);
  const service = enquiry.service ? ` about ${enquiry.service.toLowerCase()}` : '';
  return [
    {
      start: { kind: 'enquiry', key: enquiry.key },
      name: enquiry.client ? clientName(book, enquiry.client) : (enquiry.name ?? enquiry.email ?? 'Somebody'),
      reason: `Enquiry${service} from ${formatsOf(book).fromNow(day, book.today)}`,
      // An enquiry presses more with every day, and more than money.
      rank: 10 - Math.min(book.today - day, 9) / 10,
    },
  ];
}

function ofInvoice(book: RecordBook, invoice: InvoiceData, letters: LastLetters): Occasion[] {
  const { isUnpaid, state, balance, daysOverdue, daysUntilDue } = book.sumsOf(invoice);
  if (!isUnpaid) return [];
  const formats = formatsOf(book);
  const written = letters.get(`invoice:${invoice.key}`);
  const days = (count: number) => `${count} ${count === 1 ? 'day' : 'days'}`;
  const due =
    state === 'overdue'
      ? `${days(daysOverdue)} overdue`
      : daysUntilDue === undefined
        ? 'open'
        : daysUntilDue === 0
          ? 'due today'
          : `due in ${days(daysUntilDue)}`;
  const quiet = written !== undefined && book.today - dayOf(written, book) < 7;
  return [
    {
      start: { kind: 'invoice', key: invoice.key },
      name: clientName(book, invoice.client),
      reason: [`${formats.money(balance)} ${due}`, since(book, written)].filter(Boolean).join(', '),
      rank:
        (state === 'overdue' ? 100 - daysOverdue / 1000 : 200 + (daysUntilDue ?? 0) / 1000) +
        (quiet ? 1000 : 0),
    },
  ];
}

function since(book: RecordBook, written: string | undefined): string | undefined {
  if (written === undefined) return undefined;
  const day = dayOf(written, book);
  return `last letter ${formatsOf(book).fromNow(day, book.today)}`;
}

function clientName(book: RecordBook, key: string | undefined): string {
  return book.clients.get(key ?? '')?.name ?? 'A client';
}

function dayOf(iso: string, book: RecordBook): number {
  return dayAt(readMoment(iso) ?? book.now, book.zone);
}

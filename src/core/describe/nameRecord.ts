import { dayAt } from '../dates/zone';
import { formatsOf } from '../fill/formats/formatsOf';
import { fullName } from '../people/names';
import { startOf, type RecordBook } from '../records/recordBook';
import type { BookingData, EnquiryData, InvoiceData, ProjectData } from '../records/recordsFile';
import type { Recipient } from '../records/which/chooseRecipient';
import { readDay } from '../dates/civil';

/** What a record is called, and what tells it from others of its kind. */
export interface RecordName {
  name: string;
  /** "£96.00, 9 days overdue" */
  note: string;
}

/** An invoice in a list: its number, what it comes to and its state. */
export function nameInvoice(book: RecordBook, invoice: InvoiceData): RecordName {
  const { amount, balance, state, daysOverdue, isUnpaid } = book.sumsOf(invoice);
  const formats = formatsOf(book);
  const due = readDay(invoice.due_on ?? '');
  const stands =
    state === 'overdue'
      ? `${daysOverdue} ${daysOverdue === 1 ? 'day' : 'days'} overdue`
      : isUnpaid && due !== undefined
        ? `${state}, due ${formats.date(due, 'day and month')}`
        : state;
  return {
    name: invoice.number ?? 'draft',
    note: `${formats.money(isUnpaid ? balance : amount)}, ${stands}`,
  };
}

/** A booking in a list: what for, and when. */
export function nameBooking(book: RecordBook, booking: BookingData): RecordName {
  const formats = formatsOf(book);
  const day = dayAt(startOf(booking), book.zone);
  const when = booking.starts_at
    ? `${formats.dayInWeek(day, book.today)} at ${formats.time(startOf(booking))}`
    : 'no time yet';
  const status = booking.status && booking.status !== 'confirmed' ? `, ${booking.status}` : '';
  return { name: booking.service ?? book.words.booking, note: when + status };
}

/** A project in a list: its title, its status and since when. */
export function nameProject(book: RecordBook, project: ProjectData): RecordName {
  const day = readDay(project.starts_on ?? '');
  const since = day === undefined ? '' : `, since ${formatsOf(book).date(day, 'month')}`;
  return { name: project.title ?? project.key, note: (project.status ?? 'planned') + since };
}

/** An enquiry in a list: what about, from whom and when. */
export function nameEnquiry(book: RecordBook, enquiry: EnquiryData): RecordName {
  const client = book.clients.get(enquiry.client ?? '')?.name;
  return {
    name: client ?? enquiry.name ?? enquiry.email ?? 'Somebody',
    note: [enquiry.service, enquiry.status].filter(Boolean).join(', '),
  };
}

/** Somebody whom a letter goes to: the name, the role and the address. */
export function nameRecipient({ kind, data }: Recipient): RecordName {
  const role = (data as { role?: string }).role ?? (kind === 'partner' || kind === 'member' ? kind : '');
  return {
    name: fullName(data) ?? data.email ?? kind,
    note: [role, data.email ?? 'no email address'].filter(Boolean).join(', '),
  };
}

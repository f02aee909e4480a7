import { readDay } from '../../dates/civil';
import { dayAt } from '../../dates/zone';
import { startOf, type RecordBook } from '../recordBook';
import type { BookingData, ClientData, InvoiceData, ProjectData } from '../recordsFile';
import { choice, rank, type Choice } from './choice';

/** From a project, or a client without one: the next visit, else the latest. */
export function bookingOf(
  book: RecordBook,
  project: ProjectData | undefined,
  client: ClientData | undefined,
): Choice<BookingData> | undefined {
  return (
    nextElseLatest(book, alive(book.ofProject(project).bookings), 'for this project') ??
    nextElseLatest(book, alive(book.ofClient(client).bookings), 'of this client')
  );
}

/** From an invoice: the project's (else the client's) last visit not after the issue date, else its next. */
export function bookingOfInvoice(
  book: RecordBook,
  invoice: InvoiceData,
  project: ProjectData | undefined,
  client: ClientData | undefined,
): Choice<BookingData> | undefined {
  const issued = readDay(invoice.issued_on ?? '') ?? book.today;
  const fromOwner = (bookings: BookingData[], whose: string) => {
    const before = bookings.filter(
      (booking) => booking.starts_at && dayAt(startOf(booking), book.zone) <= issued,
    );
    const last = choice(
      before.at(-1),
      `the last ${book.words.booking} ${whose} before the invoice`,
      bookings,
    );
    return (
      last ?? choice(bookings[0], `the first ${book.words.booking} ${whose} after the invoice`, bookings)
    );
  };
  return (
    fromOwner(alive(book.ofProject(project).bookings), 'for the project') ??
    fromOwner(alive(book.ofClient(client).bookings), 'of this client')
  );
}

function nextElseLatest(
  book: RecordBook,
  bookings: BookingData[],
  whose: string,
): Choice<BookingData> | undefined {
  const next = book.nextOf(bookings);
  if (next) {
    const coming = bookings.filter((booking) => startOf(booking) >= book.now);
    return choice(
      next,
      `${rank('next', coming, `coming ${book.words.booking}`, `coming ${book.words.bookings}`)} ${whose}`,
      bookings,
    );
  }
  return choice(
    bookings.at(-1),
    `${rank('latest', bookings, book.words.booking, book.words.bookings)} ${whose}`,
    bookings,
  );
}

function alive(bookings: readonly BookingData[]): BookingData[] {
  return bookings.filter((booking) => booking.status !== 'cancelled');
}

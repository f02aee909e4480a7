import type { RecordBook } from './recordBook';
import type { StartingKind } from './recordKind';

/** The keys of the records of a kind that letters can start from. */
export function startsIn(book: RecordBook, kind: StartingKind): string[] {
  const records = {
    client: book.clients,
    enquiry: book.enquiries,
    project: book.projects,
    booking: book.bookings,
    invoice: book.invoices,
  }[kind];
  return [...records.keys()];
}

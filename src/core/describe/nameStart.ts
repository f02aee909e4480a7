import type { Situation } from '../records/which/situation';
import { nameBooking, nameEnquiry, nameInvoice, nameProject, type RecordName } from './nameRecord';

/** What a letter is written from: "invoice LPC-1048, £642.00, 24 days overdue", "the tuning visit, Friday 4 March at 09:30". */
export function nameStart({ start, book, client, invoice, booking, project, enquiry }: Situation): string {
  const named = (kind: string, { name, note }: RecordName) =>
    `${kind} ${[name, note].filter(Boolean).join(', ')}`;
  switch (start.kind) {
    case 'client':
      return book.clients.has(client?.record.key ?? '')
        ? 'the client'
        : 'an address in no record yet: a client is made when the letter goes';
    case 'invoice':
      return named('invoice', nameInvoice(book, invoice!.record));
    case 'booking':
      return named('the', nameBooking(book, booking!.record));
    case 'project':
      return named('project', nameProject(book, project!.record));
    case 'enquiry':
      return named('the enquiry of', nameEnquiry(book, enquiry!.record));
  }
}

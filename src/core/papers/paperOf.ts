import type { BookingData, InvoiceData } from '../records/recordsFile';
import type { Situation } from '../records/which/situation';
import type { Paper } from '../template/papers';
import { invoiceFileName, visitFileName } from './paperNames';

/** A paper of a letter: what it is made of, and the name of its file; or why it cannot be made, in words. */
export type PaperOf =
  | { paper: 'invoice pdf'; record: InvoiceData; file: string }
  | { paper: 'booking calendar entry'; record: BookingData; file: string }
  | { paper: Paper; lacks: string };

/** What a paper is made of among the records that a letter is filled from. */
export function paperOf(paper: Paper, { book, invoice, booking }: Situation): PaperOf {
  if (paper === 'invoice pdf') {
    if (!invoice) return { paper, lacks: 'There is no invoice that could go along.' };
    return { paper, record: invoice.record, file: invoiceFileName(invoice.record) };
  }
  const visit = book.words.booking;
  if (!booking) return { paper, lacks: `There is no ${visit} whose calendar entry could go along.` };
  const { starts_at, ends_at } = booking.record;
  if (!starts_at || !ends_at)
    return { paper, lacks: `The ${visit} has no beginning and end for a calendar entry yet.` };
  return { paper, record: booking.record, file: visitFileName(booking.record) };
}

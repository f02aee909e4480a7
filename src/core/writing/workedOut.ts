import { formatsOf } from '../fill/formats/formatsOf';
import { readDay } from '../dates/civil';
import { startOf } from '../records/recordBook';
import type { Situation } from '../records/which/situation';

/** How a fact of a letter's records was worked out, in words; undefined where it stands on the record as it is. */
export function workedOut(path: string, { book, invoice, booking, client }: Situation): string | undefined {
  const formats = formatsOf(book);
  const sums = invoice && book.sumsOf(invoice.record);
  const due = readDay(invoice?.record.due_on ?? '');
  switch (path) {
    case 'invoice.balance': {
      if (!sums) return undefined;
      const paidOn = readDay(sums.lastPayment?.paid_on ?? '');
      const when = paidOn === undefined ? '' : `, last on ${formats.date(paidOn, 'day and month')}`;
      return sums.paid
        ? `${formats.money(sums.amount)} less ${formats.money(sums.paid)} paid${when}`
        : 'the total; nothing has been paid yet';
    }
    case 'invoice.total':
      return sums && `${formats.money(sums.net)} and ${formats.money(sums.tax)} tax`;
    case 'invoice.days_overdue':
      return due === undefined ? undefined : `counted from ${formats.date(due, 'day and month')} to today`;
    case 'client.outstanding':
    case 'project.outstanding': {
      const unpaid = book.unpaid(book.ofClient(client?.record).invoices);
      return unpaid
        .map((one) => `${one.number ?? one.key} ${formats.money(book.sumsOf(one).balance)}`)
        .join(', ');
    }
    case 'booking.duration': {
      if (!booking?.record.ends_at) return undefined;
      const end = Date.parse(booking.record.ends_at);
      return `from ${formats.time(startOf(booking.record))} to ${formats.time(end)}`;
    }
    default:
      return undefined;
  }
}

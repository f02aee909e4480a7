import { readDay } from '../../dates/civil';
import { formatsOf } from '../../fill/formats/formatsOf';
import { clientName } from '../clientName';
import { responsibleFor } from '../responsibleFor';
import type { OccasionRule } from '../occasion';

/** So many days a payment may be on its way. */
const GRACE = 7;

/**
 * An invoice that should have been paid. Begins a week after it was due, and again when the spacing has passed since the
 * last letter about it, whoever wrote that; ends when it is paid, and when the last of the reminders has been sent.
 */
export const invoiceOverdue: OccasionRule = (book, letters, { reminderSpacing }) =>
  [...book.invoices.values()].flatMap((invoice) => {
    const { state, balance, daysOverdue } = book.sumsOf(invoice);
    const due = readDay(invoice.due_on ?? '');
    if (state !== 'overdue' || due === undefined || daysOverdue < GRACE) return [];
    const last = letters.lastAbout('invoice', invoice.key);
    if (last !== undefined && book.today - last < reminderSpacing) return [];
    const formats = formatsOf(book);
    const written =
      last === undefined || last < due ? '' : `, last letter ${formats.fromNow(last, book.today)}`;
    return [
      {
        act: 'invoice overdue',
        start: { kind: 'invoice', key: invoice.key },
        since: due,
        name: clientName(book, invoice.client),
        reason: `${formats.money(balance)} ${daysOverdue} days overdue${written}`,
        ...responsibleFor(book, invoice),
        rank: 100 - daysOverdue / 1000,
      },
    ];
  });

import { readDay } from '../../dates/civil';
import { formatsOf } from '../../fill/formats/formatsOf';
import { clientName } from '../clientName';
import { responsibleFor } from '../responsibleFor';
import type { OccasionRule } from '../occasion';

/** After so many days thanks come late. */
const FRESH = 3;

/**
 * A payment that has come. Begins on its day; ends with any letter about the invoice from that day on, and after three
 * days.
 */
export const paymentReceived: OccasionRule = (book, letters) =>
  [...book.invoices.values()].flatMap((invoice) => {
    const { lastPayment } = book.sumsOf(invoice);
    const day = readDay(lastPayment?.paid_on ?? '');
    if (invoice.status !== 'sent' || !lastPayment?.amount || day === undefined) return [];
    if (book.today < day || book.today - day > FRESH) return [];
    if (letters.anySince('invoice', invoice.key, day)) return [];
    const formats = formatsOf(book);
    return [
      {
        act: 'payment received',
        start: { kind: 'invoice', key: invoice.key },
        since: day,
        name: clientName(book, invoice.client),
        reason: `Paid ${formats.money(lastPayment.amount)} ${formats.fromNow(day, book.today)}`,
        ...responsibleFor(book, invoice),
        rank: 50,
      },
    ];
  });

import { readDay } from '../../dates/civil';
import { formatsOf } from '../../fill/formats/formatsOf';
import { clientName } from '../clientName';
import { responsibleFor } from '../responsibleFor';
import type { OccasionRule } from '../occasion';

/** After so many days it has gone some other way. */
const NEW = 14;

/**
 * An invoice that was written and not sent with a letter. Begins on the day it is written; ends with any letter about
 * it, when it is paid or due, and after two weeks.
 */
export const invoiceSent: OccasionRule = (book, letters) =>
  [...book.invoices.values()].flatMap((invoice) => {
    const { state, balance } = book.sumsOf(invoice);
    const issued = readDay(invoice.issued_on ?? '');
    if (state !== 'open' || issued === undefined) return [];
    if (book.today < issued || book.today - issued > NEW) return [];
    if (letters.lastAbout('invoice', invoice.key) !== undefined) return [];
    const formats = formatsOf(book);
    return [
      {
        act: 'invoice sent',
        start: { kind: 'invoice', key: invoice.key },
        since: issued,
        name: clientName(book, invoice.client),
        reason: `Invoice ${invoice.number ?? invoice.key} over ${formats.money(balance)} has not been sent`,
        ...responsibleFor(book, invoice),
        rank: 200,
      },
    ];
  });

import { readDay } from '../../dates/civil';
import { formatsOf } from '../../fill/formats/formatsOf';
import { clientName } from '../clientName';
import { responsibleFor } from '../responsibleFor';
import type { OccasionRule } from '../occasion';

/** So many days before a part is due it is good to hear of it. */
const BEFORE = 5;

/**
 * A part of an invoice that is paid in parts. Begins five days before it is due; ends with any letter about the invoice
 * since then, when the part is paid, and when it is overdue. An invoice without parts has none.
 */
export const instalmentDue: OccasionRule = (book, letters) =>
  [...book.invoices.values()].flatMap((invoice) => {
    const { isUnpaid, nextInstalment, left } = book.sumsOf(invoice);
    const due = readDay(nextInstalment?.due_on ?? '');
    if (!isUnpaid || !nextInstalment || due === undefined) return [];
    if (book.today < due - BEFORE || book.today > due) return [];
    if (letters.anySince('invoice', invoice.key, due - BEFORE)) return [];
    const formats = formatsOf(book);
    const open = left[(invoice.instalments ?? []).indexOf(nextInstalment)] ?? 0;
    return [
      {
        act: 'instalment due',
        start: { kind: 'invoice', key: invoice.key },
        since: due - BEFORE,
        name: clientName(book, invoice.client),
        reason: `The next part, ${formats.money(open)}, is due ${formats.fromNow(due, book.today)}`,
        ...responsibleFor(book, invoice),
        rank: 150,
      },
    ];
  });

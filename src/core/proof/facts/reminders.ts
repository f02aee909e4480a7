import { readDay } from '../../dates/civil';
import { formatsOf } from '../../fill/formats/formatsOf';
import { cuesOf } from '../../reading/cues';
import { bodyOf } from '../reading/lines';
import type { Check } from '../proofMark';

/** A reminder of an invoice that is paid, or not due yet. */
export const checkReminders: Check = (letter, situation) => {
  const { book, invoice, start } = situation;
  const cues = cuesOf(letter.language);
  // A statement of account names what is not due yet, too.
  if (!cues || !invoice || start.kind !== 'invoice') return [];
  const { state, isUnpaid, balance } = book.sumsOf(invoice.record);
  // Void and drafts are told by what is called off.
  if (state === 'overdue' || state === 'void' || state === 'draft') return [];
  for (const { index, text } of bodyOf(letter.lines)) {
    const found = cues.reminder.exec(text);
    if (!found) continue;
    const formats = formatsOf(book);
    const due = readDay(invoice.record.due_on ?? '');
    if (isUnpaid && due === undefined) return [];
    const stands = isUnpaid
      ? `is not due before ${formats.date(due!, 'day and month')}`
      : balance < 0
        ? 'owes something to the client'
        : 'is paid';
    const number = invoice.record.number ?? invoice.record.key;
    return [
      {
        kind: 'query',
        id: `reminder ${invoice.record.key} ${isUnpaid ? 'not due' : 'paid'}`,
        message: `“${found[0]}”: invoice ${number} ${stands}.`,
        at: { line: index, from: found.index, to: found.index + found[0].length },
      },
    ];
  }
  return [];
};

import { capital } from '../describe/capital';
import { phoneNumber } from '../fill/formats/phone';
import type { RecordBook } from '../records/recordBook';
import type { BookingData } from '../records/recordsFile';
import { calendarOf } from '../takingOut/calendarOf';

/**
 * A visit as its client's calendar takes it (RFC 5545, METHOD:PUBLISH): what is done and by whom, when and where. What the
 * business notes for itself is not in it. The same visit has the same UID, so that a moved one takes the place of the first.
 * @param of.uid what tells the visit in every calendar  @param of.version how often it was changed; a later one counts
 */
export function calendarEntry(
  book: RecordBook,
  booking: BookingData,
  { uid, version }: { uid: string; version: number },
): string {
  const { name = '', phone, email } = book.business;
  const location = booking.location ?? book.clients.get(booking.client ?? '')?.address;
  const calls = phone && phoneNumber(phone, 'local', book.business.locale ?? '');
  return calendarOf(
    name,
    [
      {
        uid,
        version,
        title: [capital(booking.service ?? book.words.booking), name].filter(Boolean).join(', '),
        status: booking.status ?? 'confirmed',
        starts_at: booking.starts_at!,
        ends_at: booking.ends_at!,
        ...(location ? { location } : {}),
        ...(calls ? { notes: `${name}, ${calls}` } : {}),
        ...(email ? { organizer: { name, email } } : {}),
      },
    ],
    book.now,
  );
}

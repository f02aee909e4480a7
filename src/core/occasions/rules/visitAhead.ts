import { capital } from '../../describe/capital';
import { dayAt } from '../../dates/zone';
import { formatsOf } from '../../fill/formats/formatsOf';
import { startOf } from '../../records/recordBook';
import { clientName } from '../clientName';
import { comesNear } from '../comesNear';
import type { OccasionRule } from '../occasion';

/**
 * A visit that comes near. Begins on the last working day before it; ends with any letter about it since then, when it
 * is called off, and on its day, when it is seen and not written about.
 */
export const visitAhead: OccasionRule = (book, letters) =>
  [...book.bookings.values()].flatMap((booking) => {
    if (booking.status !== 'confirmed' && booking.status !== 'tentative') return [];
    const day = dayAt(startOf(booking), book.zone);
    const since = comesNear(book, day);
    if (!booking.starts_at || book.today < since || book.today >= day) return [];
    if (letters.anySince('booking', booking.key, since)) return [];
    const formats = formatsOf(book);
    const what = booking.service ?? book.words.booking;
    const when = `${formats.fromNow(day, book.today)}, ${formats.date(day, 'weekday')}, at ${formats.time(startOf(booking))}`;
    return [
      {
        act: 'visit ahead',
        start: { kind: 'booking', key: booking.key },
        since,
        name: clientName(book, booking.client),
        reason: `${capital(what)} ${when}`,
        ...(booking.member ? { member: booking.member } : {}),
        rank: (startOf(booking) - book.now) / 1e12,
      },
    ];
  });

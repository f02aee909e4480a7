import { dayAt } from '../../dates/zone';
import { formatsOf } from '../../fill/formats/formatsOf';
import { startOf } from '../../records/recordBook';
import { clientName } from '../clientName';
import { comesNear } from '../comesNear';
import type { OccasionRule } from '../occasion';

/** How many days ahead a visit wants to be settled. */
export const CONFIRMED_AHEAD = 14;

/**
 * A visit that is only pencilled in. Begins two weeks before it; ends with any letter about it, when it is settled or
 * called off, and when the visit comes near, which is an occasion of its own.
 */
export const visitToConfirm: OccasionRule = (book, letters) =>
  [...book.bookings.values()].flatMap((booking) => {
    if (booking.status !== 'tentative' || !booking.starts_at) return [];
    const day = dayAt(startOf(booking), book.zone);
    const near = comesNear(book, day);
    if (book.today < day - CONFIRMED_AHEAD || book.today >= near) return [];
    if (letters.lastAbout('booking', booking.key) !== undefined) return [];
    const formats = formatsOf(book);
    return [
      {
        act: 'visit confirmed',
        start: { kind: 'booking', key: booking.key },
        since: day - CONFIRMED_AHEAD,
        name: clientName(book, booking.client),
        reason: `${booking.service ?? book.words.booking} on ${formats.dayInWeek(day, book.today)} is not confirmed yet`,
        ...(booking.member ? { member: booking.member } : {}),
        rank: 20 + (day - book.today) / 100,
      },
    ];
  });

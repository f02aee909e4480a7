import type { ClashAsked, ClashShown } from '../../core/contract/clashes';
import { dayAt, readMoment } from '../../core/dates/zone';
import { isoOf } from '../../core/dates/civil';
import { heldFor } from '../../core/describe/heldFor';
import { heldOn } from '../../data/repositories/sending/heldDays';
import { isWorkingDay } from '../../core/dates/workingDays';
import { nameMember } from '../../core/describe/nameMember';
import { formatsOf } from '../../core/fill/formats/formatsOf';
import type { Formats } from '../../core/fill/formats/formats';
import type { RecordBook } from '../../core/records/recordBook';
import { clashesOf, type Clash, type Slot } from '../../core/work/clashes';
import { bookingsWithin, type BookingWithin } from '../../data/repositories/records/bookingsWithin';
import { waysAlone } from '../../data/repositories/records/workWays';
import { businessBook } from '../businessBook';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

type Booked = Slot & { booking: BookingWithin };

/** What stands in the way of a booking, each in a sentence. */
export const clashesOfBooking = forMember(
  async ({ business_id }: CurrentMember, asked: ClashAsked): Promise<ClashShown[]> => {
    const [starts, ends] = [readMoment(asked.starts_at)!, readMoment(asked.ends_at)!];
    const book = await businessBook(business_id);
    const { travel_minutes: travel } = await waysAlone(connection(), business_id);
    const way = travel * 60_000;
    const day = dayAt(starts, book.zone);
    const [found, held] = await Promise.all([
      bookingsWithin(connection(), business_id, [[new Date(starts - way), new Date(ends + way)]]),
      heldOn(connection(), business_id, [isoOf(day)], isoOf(book.today)),
    ]);
    const others = found.filter(({ key }) => key !== asked.booking).map(slotOf);
    const wanted: Slot = {
      starts,
      ends,
      member: asked.member,
      client: asked.client ?? '',
      items: asked.items,
    };
    const shown = clashesOf(wanted, others, travel).map((clash) => ({
      booking: clash.with.booking.key,
      words: inWords(clash, wanted, book),
    }));
    const forOthers = held.filter(({ client }) => client === null || client !== asked.client);
    const date = formatsOf(book).date(day, 'long date');
    return [
      // What is done already is changed often; a new one in the past is a slip.
      ...(asked.booking === undefined && starts < book.now ? [{ words: `${date} is past.` }] : []),
      ...(isWorkingDay(day, book.workingDays) ? [] : [{ words: `${date} is a day off.` }]),
      ...shown,
      ...forOthers.map((one) => ({ words: `${heldFor(one, book)}.` })),
    ];
  },
);

function slotOf(booking: BookingWithin): Booked {
  return {
    starts: booking.starts_at.getTime(),
    ends: booking.ends_at.getTime(),
    member: booking.member ?? undefined,
    client: booking.client,
    items: booking.items,
    booking,
  };
}

/** "Teo is at Oda Hartigan’s then: tuning visit, 09:30 to 11:00." */
function inWords({ with: other, kind, minutes }: Clash<Booked>, wanted: Slot, book: RecordBook): string {
  const formats = formatsOf(book);
  const { booking } = other;
  const who = nameMember(book, other.member ?? wanted.member) ?? 'Somebody';
  const what = `${booking.client_name}, ${booking.service}, ${whenOf(other, formats, book)}`;
  switch (kind) {
    case 'item':
      return `It is worked on then already: ${what}.`;
    case 'member':
      return `${who} is booked then: ${what}.`;
    case 'unsaid':
      return `At that time there is: ${what}${other.member === undefined ? ', and nobody is named for it' : ` (${who})`}.`;
    case 'travel':
      return `${who} has ${minutes === 0 ? 'no time' : formats.duration(minutes)} for the way: ${what}.`;
  }
}

/** "09:30 to 11:00"; with its day where it begins on another. */
function whenOf({ starts, ends }: Slot, formats: Formats, book: RecordBook): string {
  const [from, until] = [dayAt(starts, book.zone), dayAt(ends, book.zone)];
  if (from === until) return `${formats.time(starts)} to ${formats.time(ends)}`;
  return `${formats.date(from, 'day and month')} to ${formats.date(until, 'day and month')}`;
}

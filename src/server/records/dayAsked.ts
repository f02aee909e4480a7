import type { DayAsked } from '../../core/contract/freeDays';
import { readDay } from '../../core/dates/civil';
import { isWorkingDay } from '../../core/dates/workingDays';
import { momentOf, type Moment } from '../../core/dates/zone';
import { capital } from '../../core/describe/capital';
import { heldFor } from '../../core/describe/heldFor';
import { nameMember } from '../../core/describe/nameMember';
import { formatsOf } from '../../core/fill/formats/formatsOf';
import type { RecordBook } from '../../core/records/recordBook';
import { whoHasRoom, type Piece } from '../../core/work/roomOnDay';
import { minutesOfClock } from '../../core/work/wallClock';
import type { BookingWithin } from '../../data/repositories/records/bookingsWithin';
import type { RoomFor } from '../../data/repositories/records/roomFor';
import type { HeldDay } from '../../data/repositories/sending/heldDays';

/** A day with what is known of it. */
export interface DayFacts {
  iso: string;
  bookings: readonly BookingWithin[];
  held: readonly HeldDay[];
}

/** What days are looked at by. */
export interface DayAsking {
  book: RecordBook;
  room: RoomFor;
  /** the key of the enquiry that asks: the days that are held for it are free for it */
  enquiry: string | undefined;
}

/** Where no usual service is asked for, so many minutes are enough. */
const SOME_VISIT = 60;

/** Whether a day is free, in words, with what is booked on it and for whom it is held. */
export function dayAsked(facts: DayFacts, { book, room, enquiry }: DayAsking): DayAsked {
  const { iso, bookings, held } = facts;
  const formats = formatsOf(book);
  const day = readDay(iso)!;
  const booked = bookings.map(({ starts_at, ends_at, client_name, member }) =>
    [
      `${formats.time(starts_at.getTime())} to ${formats.time(ends_at.getTime())}`,
      client_name,
      nameMember(book, member),
    ]
      .filter(Boolean)
      .join(', '),
  );
  const isPast = day < book.today;
  const isOff = !isWorkingDay(day, book.workingDays);
  const isHeld = held.some((one) => enquiry === undefined || one.enquiry !== enquiry);
  const left = isPast ? [] : roomInWords(facts, book, room);
  const count = `${bookings.length} ${bookings.length === 1 ? book.words.booking : book.words.bookings}`;
  const stands = [
    bookings.length > 0 && count,
    isPast && 'past',
    isHeld && 'held',
    isOff && 'a day off',
  ].filter(Boolean);
  const free = !isPast && !isOff && !isHeld && left.length > 0;
  const said =
    isPast || isOff
      ? ''
      : left.length === 0
        ? 'no room'
        : bookings.length > 0
          ? `room ${left.join('; ')}`
          : '';
  return {
    day: iso,
    words: `${capital(formats.dayInWeek(day, book.today))}: ${[...stands, said].filter(Boolean).join(', ') || 'free'}`,
    free,
    booked,
    held: held.map((one) => ({ letter: one.letter, words: heldFor(one, book) })),
  };
}

/** Who has room and when: “for Teo all day”, “for Imke until 09:10 and from 11:20”. Without names where there is only one. */
function roomInWords({ iso, bookings }: DayFacts, book: RecordBook, room: RoomFor): string[] {
  const formats = formatsOf(book);
  const day = workingHours(iso, book, room);
  const come = new Set(room.members);
  // A new business has had no visits: anybody may come.
  const members = [...book.members.keys()].filter((key) => come.size === 0 || come.has(key));
  const taken = bookings.map(({ starts_at, ends_at, member }) => ({
    starts: starts_at.getTime(),
    ends: ends_at.getTime(),
    member: member ?? undefined,
  }));
  const needed = { minutes: room.minutes ?? SOME_VISIT, travel: room.travel };
  const said = ({ starts, ends }: Piece) => {
    if (starts > day.starts && ends < day.ends) return `${formats.time(starts)} to ${formats.time(ends)}`;
    if (starts > day.starts) return `from ${formats.time(starts)}`;
    return ends < day.ends ? `until ${formats.time(ends)}` : 'all day';
  };
  return whoHasRoom(members, day, taken, needed).map(({ member, room: pieces }) =>
    [book.members.size > 1 && `for ${nameMember(book, member)}`, formats.and(pieces.map(said))]
      .filter(Boolean)
      .join(' '),
  );
}

/** The hours within which visits are made; of today what is left of them. */
function workingHours(iso: string, { zone, now }: RecordBook, { day_from, day_until }: RoomFor): Piece {
  const at = (clock: string): Moment =>
    momentOf({ day: readDay(iso)!, time: minutesOfClock(clock) * 60_000 }, zone);
  const ends = at(day_until);
  return { starts: Math.min(Math.max(at(day_from), now), ends), ends };
}

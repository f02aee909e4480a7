import type { DayAsked, FreeDaysAnswer } from '../../core/contract/freeDays';
import { isoOf, readDay } from '../../core/dates/civil';
import { isWorkingDay } from '../../core/dates/workingDays';
import { momentOf } from '../../core/dates/zone';
import { capital } from '../../core/describe/capital';
import { formatsOf } from '../../core/fill/formats/formatsOf';
import { fullName } from '../../core/people/names';
import type { RecordBook } from '../../core/records/recordBook';
import {
  bookingsWithin,
  type BookingWithin,
  type Span,
} from '../../data/repositories/records/bookingsWithin';
import { businessBook } from '../businessBook';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** Whether some days are free: who has nothing booked, and what is booked. */
export const freeDays = forMember(
  async ({ business_id }: CurrentMember, days: readonly string[]): Promise<DayAsked[]> =>
    daysIn(business_id, days, await businessBook(business_id)),
);

async function daysIn(business_id: string, days: readonly string[], book: RecordBook): Promise<DayAsked[]> {
  const spans = days.flatMap((iso): { iso: string; span: Span }[] => {
    const day = readDay(iso);
    if (day === undefined) return [];
    const at = (one: number) => new Date(momentOf({ day: one, time: 0 }, book.zone));
    return [{ iso, span: [at(day), at(day + 1)] }];
  });
  if (spans.length === 0) return [];
  const bookings = await bookingsWithin(
    connection(),
    business_id,
    spans.map(({ span }) => span),
  );
  return spans.map(({ iso, span: [from, until] }) =>
    dayAsked(
      iso,
      bookings.filter(({ starts_at, ends_at }) => starts_at < until && ends_at > from),
      book,
    ),
  );
}

/** So far from the days that are asked for others are looked at, and so many of them are offered. */
const NEAR_DAYS = 14;
const MOST_NEAR = 3;
/** Days that are asked for may lie a year apart. */
const MOST_LOOKED_AT = 120;

/** The same, with the nearest days that are free where they are not: working days to come with nothing booked. */
export const freeDaysNear = forMember(
  async ({ business_id }: CurrentMember, days: readonly string[]): Promise<FreeDaysAnswer> => {
    const book = await businessBook(business_id);
    const asked = await daysIn(business_id, days, book);
    const wanted = days.flatMap((iso) => readDay(iso) ?? []);
    if (asked.every(({ free }) => free)) return { days: asked, nearest: [] };
    const { today, workingDays } = book;
    const distance = (day: number) => Math.min(...wanted.map((one) => Math.abs(one - day)));
    const [from, until] = [Math.min(...wanted) - NEAR_DAYS, Math.max(...wanted) + NEAR_DAYS];
    const around = Array.from(
      { length: Math.min(until - from + 1, MOST_LOOKED_AT) },
      (_, i) => from + i,
    ).filter(
      (day) =>
        day > today && !wanted.includes(day) && distance(day) <= NEAR_DAYS && isWorkingDay(day, workingDays),
    );
    const free = (await daysIn(business_id, around.map(isoOf), book)).filter((day) => day.free);
    const nearest = free
      .sort((a, b) => distance(readDay(a.day)!) - distance(readDay(b.day)!))
      .slice(0, MOST_NEAR)
      .sort((a, b) => a.day.localeCompare(b.day));
    return { days: asked, nearest };
  },
);

function dayAsked(iso: string, bookings: readonly BookingWithin[], book: RecordBook): DayAsked {
  const formats = formatsOf(book);
  const day = readDay(iso)!;
  const date = `${formats.date(day, 'weekday')} ${formats.date(day, 'day and month')}`;
  const name = (key: string | null) => {
    const member = book.members.get(key ?? '');
    return member?.given_name ?? (member && fullName(member)) ?? '';
  };
  const booked = bookings.map(({ starts_at, ends_at, client_name, member }) =>
    [`${formats.time(starts_at.getTime())} to ${formats.time(ends_at.getTime())}`, client_name, name(member)]
      .filter(Boolean)
      .join(', '),
  );
  const busy = new Set(bookings.map(({ member }) => member));
  const idle = [...book.members.keys()].filter((key) => !busy.has(key)).map(name);
  const off = isWorkingDay(day, book.workingDays) ? '' : ', a day off';
  const count = `${bookings.length} ${bookings.length === 1 ? book.words.booking : book.words.bookings}`;
  const stands =
    bookings.length === 0
      ? 'free'
      : busy.has(null) || idle.length === 0
        ? count
        : `${count}, nothing for ${idle.join(' and ')}`;
  return {
    day: iso,
    words: `${capital(date)}: ${stands}${off}`,
    free: bookings.length === 0 && !off,
    booked,
  };
}

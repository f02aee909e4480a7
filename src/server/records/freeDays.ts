import type { DayAsked } from '../../core/contract/freeDays';
import { readDay } from '../../core/dates/civil';
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
  async ({ business_id }: CurrentMember, days: readonly string[]): Promise<DayAsked[]> => {
    const book = await businessBook(business_id);
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

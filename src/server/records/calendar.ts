import type { Calendar, CalendarHeld, CalendarPiece, CalendarView } from '../../core/contract/calendar';
import type { WorkWays } from '../../core/contract/records/workWays';
import {
  civilOf,
  endOfMonth,
  isoOf,
  plusMonths,
  readDay,
  startOfMonth,
  weekdayOf,
  type Day,
} from '../../core/dates/civil';
import { isWorkingDay } from '../../core/dates/workingDays';
import { isoMoment, momentOf, wallClockOf } from '../../core/dates/zone';
import { heldFor } from '../../core/describe/heldFor';
import { nameMember } from '../../core/describe/nameMember';
import type { Formats } from '../../core/fill/formats/formats';
import { formatsOf } from '../../core/fill/formats/formatsOf';
import { SCHEMA_DEFAULTS } from '../../core/records/defaults';
import type { RecordBook } from '../../core/records/recordBook';
import { inLanes } from '../../core/work/lanes';
import { minutesOfClock } from '../../core/work/wallClock';
import { bookingsWithin, type BookingWithin } from '../../data/repositories/records/bookingsWithin';
import { waysAlone } from '../../data/repositories/records/workWays';
import { heldOn, type HeldDay } from '../../data/repositories/sending/heldDays';
import { businessBook } from '../businessBook';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

const DAY_MINUTES = 1440;

/**
 * A day, a week or a month of bookings.
 * @param asked the ISO date that is looked at; today, where it is none
 */
export const calendar = forMember(
  async (
    { business_id }: CurrentMember,
    view: CalendarView,
    asked: string | undefined,
  ): Promise<Calendar> => {
    const book = await businessBook(business_id);
    const formats = formatsOf(book);
    const at = readDay(asked ?? '') ?? book.today;
    const days = daysOf(view, at, firstWeekday(book));
    const begin = (day: Day) => new Date(momentOf({ day, time: 0 }, book.zone));
    const [found, ways, held] = await Promise.all([
      bookingsWithin(connection(), business_id, [[begin(days[0]!), begin(days.at(-1)! + 1)]]),
      waysAlone(connection(), business_id),
      heldOn(connection(), business_id, days.map(isoOf), isoOf(book.today)),
    ]);
    const parts = days.map((day, i) =>
      found.flatMap((booking) => pieceOn(day, i, booking, book, formats) ?? []),
    );
    const pieces = parts.flatMap((all) => inLanes(all.filter((piece) => !isWhole(piece))));
    const clock = wallClockOf(book.now, book.zone);
    const short = new Intl.DateTimeFormat(formats.settings.home, {
      weekday: 'short',
      day: 'numeric',
      timeZone: 'UTC',
    });
    return {
      view,
      title: titleOf(view, at, days, formats),
      day: isoOf(at),
      before: isoOf(stepped(view, at, -1)),
      after: isoOf(stepped(view, at, 1)),
      today: isoOf(book.today),
      zone: book.zone,
      days: days.map((day) => ({
        day: isoOf(day),
        words: formats.dayInWeek(day, book.today),
        short: short.format(new Date(`${isoOf(day)}T00:00Z`)),
        isToday: day === book.today,
        isOff: !isWorkingDay(day, book.workingDays),
        isOutside: view === 'month' && civilOf(day).month !== civilOf(at).month,
        held: held.filter((one) => one.day === isoOf(day)).map((one) => heldInCalendar(one, book)),
      })),
      pieces,
      whole: parts.flat().filter(isWhole),
      hours: hoursOf(pieces, ways, days[0]!, book, formats),
      ...(days.includes(clock.day) ? { now: Math.floor(clock.time / 60_000) } : {}),
    };
  },
);

/** The hours that are shown: those of the working day, and what lies outside of them. */
function hoursOf(
  pieces: readonly CalendarPiece[],
  { day_from, day_until }: Pick<WorkWays, 'day_from' | 'day_until'>,
  day: Day,
  { zone }: RecordBook,
  formats: Formats,
) {
  const from = Math.floor(Math.min(minutesOfClock(day_from), ...pieces.map((piece) => piece.from)) / 60);
  const until = Math.ceil(Math.max(minutesOfClock(day_until), ...pieces.map((piece) => piece.until)) / 60);
  const words = range(from, until - from).map((hour) =>
    formats.time(momentOf({ day, time: hour * 3_600_000 }, zone)),
  );
  return { from, until, words };
}

function isWhole({ from, until }: CalendarPiece): boolean {
  return until - from >= DAY_MINUTES;
}

/** The days that are shown: of a month the whole weeks that it touches. */
function daysOf(view: CalendarView, at: Day, firstDay: number): Day[] {
  const weekOf = (day: Day) => day - ((weekdayOf(day) - firstDay + 7) % 7);
  if (view === 'day') return [at];
  if (view === 'week') return range(weekOf(at), 7);
  const first = weekOf(startOfMonth(at));
  return range(first, Math.ceil((endOfMonth(at) - first + 1) / 7) * 7);
}

function range(from: Day, count: number): Day[] {
  return Array.from({ length: count }, (_, i) => from + i);
}

function stepped(view: CalendarView, at: Day, step: 1 | -1): Day {
  if (view === 'day') return at + step;
  if (view === 'week') return at + 7 * step;
  return startOfMonth(plusMonths(at, step));
}

/** 1 Monday to 7 Sunday, as the business's country has it. */
function firstWeekday({ business }: RecordBook): number {
  const locale = new Intl.Locale(business.locale ?? SCHEMA_DEFAULTS.locale) as Intl.Locale & {
    weekInfo?: { firstDay: number };
    getWeekInfo?: () => { firstDay: number };
  };
  return (locale.getWeekInfo?.() ?? locale.weekInfo)?.firstDay ?? 1;
}

function titleOf(view: CalendarView, at: Day, days: readonly Day[], formats: Formats): string {
  if (view === 'day') return formats.date(at, 'long date');
  return view === 'month' ? formats.date(at, 'month') : `Week of ${formats.date(days[0]!, 'date')}`;
}

function heldInCalendar(held: HeldDay, book: RecordBook): CalendarHeld {
  const { letter, name, enquiry } = held;
  return { letter, name, words: heldFor(held, book), ...(enquiry === null ? {} : { enquiry }) };
}

function pieceOn(
  day: Day,
  index: number,
  booking: BookingWithin,
  book: RecordBook,
  formats: Formats,
): CalendarPiece | undefined {
  const [starts, ends] = [booking.starts_at.getTime(), booking.ends_at.getTime()];
  const minutes = (moment: number) => {
    const clock = wallClockOf(moment, book.zone);
    return (clock.day - day) * DAY_MINUTES + Math.floor(clock.time / 60_000);
  };
  const from = Math.max(0, minutes(starts));
  const until = Math.min(DAY_MINUTES, minutes(ends));
  if (until <= from) return undefined;
  const member = nameMember(book, booking.member);
  return {
    key: booking.key,
    version: booking.version,
    day: index,
    from,
    until,
    lane: 0,
    lanes: 1,
    begins: formats.time(starts),
    time: `${formats.time(starts)} to ${formats.time(ends)}`,
    client: booking.client_name,
    service: booking.service,
    ...(member ? { member } : {}),
    status: booking.status,
    starts_at: isoMoment(starts, book.zone),
    ends_at: isoMoment(ends, book.zone),
  };
}

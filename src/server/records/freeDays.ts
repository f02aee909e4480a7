import type { DayAsked, FreeDaysAnswer } from '../../core/contract/freeDays';
import { isoOf, readDay } from '../../core/dates/civil';
import { isWorkingDay } from '../../core/dates/workingDays';
import { momentOf } from '../../core/dates/zone';
import type { TakenDay } from '../../core/proof/proofMark';
import { capital } from '../../core/describe/capital';
import { heldFor } from '../../core/describe/heldFor';
import { formatsOf } from '../../core/fill/formats/formatsOf';
import { fullName } from '../../core/people/names';
import type { RecordBook } from '../../core/records/recordBook';
import {
  bookingsWithin,
  type BookingWithin,
  type Span,
} from '../../data/repositories/records/bookingsWithin';
import { daysHeldFor, heldOn, type HeldDay } from '../../data/repositories/sending/heldDays';
import { businessBook } from '../businessBook';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** A day with what is known of it. */
interface DayFacts {
  iso: string;
  bookings: readonly BookingWithin[];
  held: readonly HeldDay[];
}

/**
 * Whether some days are free: who has nothing booked, what is booked, and for whom they are held.
 * @param enquiry the key of the one that asks: the days that are held for it are told, too
 */
export const freeDays = forMember(
  async ({ business_id }: CurrentMember, days: readonly string[], enquiry?: string): Promise<DayAsked[]> =>
    daysIn(business_id, days, await businessBook(business_id), enquiry),
);

/** Of some days those that nobody has time on, or that are held for somebody else. @param enquiry the key of the one that asks */
export async function takenDays(
  business_id: string,
  days: readonly string[],
  enquiry: string | undefined,
): Promise<TakenDay[]> {
  if (days.length === 0) return [];
  const book = await businessBook(business_id);
  return (await factsOfDays(business_id, days, book)).flatMap((facts) => {
    const { day, words } = dayAsked(facts, book, enquiry);
    const isFull = facts.bookings.length > 0 && idleMembers(facts, book).length === 0;
    const isTaken = isFull || isOff(day, book) || heldForOthers(facts, enquiry).length > 0;
    return isTaken ? [{ day, words }] : [];
  });
}

async function daysIn(
  business_id: string,
  days: readonly string[],
  book: RecordBook,
  enquiry: string | undefined,
): Promise<DayAsked[]> {
  const held =
    enquiry === undefined ? [] : await daysHeldFor(connection(), business_id, enquiry, isoOf(book.today));
  const all = [...new Set([...days, ...held])];
  return (await factsOfDays(business_id, all, book)).map((facts) => dayAsked(facts, book, enquiry));
}

async function factsOfDays(
  business_id: string,
  days: readonly string[],
  book: RecordBook,
): Promise<DayFacts[]> {
  const spans = days.flatMap((iso): { iso: string; span: Span }[] => {
    const day = readDay(iso);
    if (day === undefined) return [];
    const at = (one: number) => new Date(momentOf({ day: one, time: 0 }, book.zone));
    return [{ iso, span: [at(day), at(day + 1)] }];
  });
  if (spans.length === 0) return [];
  const [bookings, held] = await Promise.all([
    bookingsWithin(
      connection(),
      business_id,
      spans.map(({ span }) => span),
    ),
    heldOn(
      connection(),
      business_id,
      spans.map(({ iso }) => iso),
      isoOf(book.today),
    ),
  ]);
  return spans.map(({ iso, span: [from, until] }) => ({
    iso,
    bookings: bookings.filter(({ starts_at, ends_at }) => starts_at < until && ends_at > from),
    held: held.filter(({ day }) => day === iso),
  }));
}

/** So far from the days that are asked for others are looked at, and so many of them are offered. */
const NEAR_DAYS = 14;
const MOST_NEAR = 3;
/** Days that are asked for may lie a year apart. */
const MOST_LOOKED_AT = 120;

/** The same, with the nearest days that are free where they are not: working days to come with nothing booked. */
export const freeDaysNear = forMember(
  async (
    { business_id }: CurrentMember,
    days: readonly string[],
    enquiry?: string,
  ): Promise<FreeDaysAnswer> => {
    const book = await businessBook(business_id);
    const asked = await daysIn(business_id, days, book, enquiry);
    const wanted = days.flatMap((iso) => readDay(iso) ?? []);
    if (wanted.length === 0 || asked.every(({ free }) => free)) return { days: asked, nearest: [] };
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
    const free = (await factsOfDays(business_id, around.map(isoOf), book))
      .map((facts) => dayAsked(facts, book, enquiry))
      .filter((day) => day.free);
    const nearest = free
      .sort((a, b) => distance(readDay(a.day)!) - distance(readDay(b.day)!))
      .slice(0, MOST_NEAR)
      .sort((a, b) => a.day.localeCompare(b.day));
    return { days: asked, nearest };
  },
);

function dayAsked(facts: DayFacts, book: RecordBook, enquiry: string | undefined): DayAsked {
  const { iso, bookings, held } = facts;
  const formats = formatsOf(book);
  const date = (one: string) => {
    const day = readDay(one)!;
    return formats.dayInWeek(day);
  };
  const booked = bookings.map(({ starts_at, ends_at, client_name, member }) =>
    [
      `${formats.time(starts_at.getTime())} to ${formats.time(ends_at.getTime())}`,
      client_name,
      nameOfMember(member, book),
    ]
      .filter(Boolean)
      .join(', '),
  );
  const idle = idleMembers(facts, book);
  const isForOthers = heldForOthers(facts, enquiry).length > 0;
  const off = isOff(iso, book);
  const count = `${bookings.length} ${bookings.length === 1 ? book.words.booking : book.words.bookings}`;
  const stands = [
    bookings.length === 0 ? '' : idle.length === 0 ? count : `${count}, nothing for ${idle.join(' and ')}`,
    isForOthers ? 'held' : '',
  ].filter(Boolean);
  return {
    day: iso,
    words: `${capital(date(iso))}: ${[...(stands.length || off ? stands : ['free']), ...(off ? ['a day off'] : [])].join(', ')}`,
    free: bookings.length === 0 && !isForOthers && !off,
    booked,
    held: held.map((one) => ({ letter: one.letter, words: heldFor(one, book) })),
  };
}

function isOff(iso: string, { workingDays }: RecordBook): boolean {
  return !isWorkingDay(readDay(iso)!, workingDays);
}

/** The names of those who have nothing booked; nobody, where something is booked for nobody yet. */
function idleMembers({ bookings }: DayFacts, book: RecordBook): string[] {
  const busy = new Set(bookings.map(({ member }) => member));
  if (busy.has(null)) return [];
  return [...book.members.keys()].filter((key) => !busy.has(key)).map((key) => nameOfMember(key, book));
}

function nameOfMember(key: string | null, { members }: RecordBook): string {
  const member = members.get(key ?? '');
  return member?.given_name ?? (member && fullName(member)) ?? '';
}

function heldForOthers({ held }: DayFacts, enquiry: string | undefined): readonly HeldDay[] {
  return held.filter((one) => enquiry === undefined || one.enquiry !== enquiry);
}

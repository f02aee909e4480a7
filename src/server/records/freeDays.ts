import type { DayAsked, FreeDaysAnswer } from '../../core/contract/freeDays';
import { isoOf, readDay } from '../../core/dates/civil';
import { isWorkingDay } from '../../core/dates/workingDays';
import { momentOf } from '../../core/dates/zone';
import type { TakenDay } from '../../core/proof/proofMark';
import type { RecordBook } from '../../core/records/recordBook';
import type { RecordsFile } from '../../core/records/recordsFile';
import type { StartingPoint } from '../../core/records/which/situation';
import { bookingsWithin, type Span } from '../../data/repositories/records/bookingsWithin';
import { roomFor, type RoomAsked } from '../../data/repositories/records/roomFor';
import { daysHeldFor, heldOn } from '../../data/repositories/sending/heldDays';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { dayAsked, type DayAsking, type DayFacts } from './dayAsked';

/** Who asks whether days are free: an enquiry, by its key; the service that is wanted. */
export interface AskedBy extends RoomAsked {
  /** whether the nearest days that are free are looked for, too, where one is not */
  near?: boolean;
}

/**
 * Whether some days are free: who has room for the service that is asked for, what is booked, and for whom they are held. The days that
 * are held for the enquiry that asks are told, too; and where they are wanted the nearest days that are free: working days to come.
 */
export const freeDays = forMember(
  async (
    { business_id }: CurrentMember,
    days: readonly string[],
    { near = false, ...by }: AskedBy = {},
  ): Promise<FreeDaysAnswer> => {
    const asking = await askingBy(business_id, by);
    const today = isoOf(asking.book.today);
    const held =
      by.enquiry === undefined ? [] : await daysHeldFor(connection(), business_id, by.enquiry, today);
    const asked = await daysAsked(business_id, [...new Set([...days, ...held])], asking);
    const wanted = days.flatMap((iso) => readDay(iso) ?? []);
    const isNear = near && wanted.length > 0 && !asked.every(({ free }) => free);
    return { days: asked, nearest: isNear ? await nearestTo(business_id, wanted, asking) : [] };
  },
);

/** Of some days those on which nobody has room, or that are held for somebody else. @param enquiry the key of the one that asks */
export async function takenDays(
  business_id: string,
  days: readonly string[],
  enquiry: string | undefined,
): Promise<TakenDay[]> {
  if (days.length === 0) return [];
  const asked = await daysAsked(business_id, days, await askingBy(business_id, { enquiry }));
  return asked.filter(({ free }) => !free).map(({ day, words }) => ({ day, words }));
}

/** Whether none of the days is free that the enquiry asks for which a letter starts from; undefined: it asks for none. */
export async function areDaysTaken(
  business_id: string,
  { kind, key }: StartingPoint,
  { enquiries = [] }: RecordsFile,
): Promise<boolean | undefined> {
  const wanted = kind === 'enquiry' ? (enquiries.find((one) => one.key === key)?.wanted_on ?? []) : [];
  if (wanted.length === 0) return undefined;
  return (await takenDays(business_id, wanted, key)).length === wanted.length;
}

async function askingBy(business_id: string, by: RoomAsked): Promise<DayAsking> {
  const [book, room] = await Promise.all([
    businessBook(business_id),
    roomFor(connection(), business_id, by, new Date(now())),
  ]);
  return { book, room, enquiry: by.enquiry };
}

/** So far from the days that are asked for others are looked at, and so many of them are offered. */
const NEAR_DAYS = 14;
const MOST_NEAR = 3;
/** Days that are asked for may lie a year apart. */
const MOST_LOOKED_AT = 120;

async function nearestTo(
  business_id: string,
  wanted: readonly number[],
  asking: DayAsking,
): Promise<DayAsked[]> {
  const { today, workingDays } = asking.book;
  const distance = (day: number) => Math.min(...wanted.map((one) => Math.abs(one - day)));
  const [from, until] = [Math.min(...wanted) - NEAR_DAYS, Math.max(...wanted) + NEAR_DAYS];
  const around = Array.from(
    { length: Math.min(until - from + 1, MOST_LOOKED_AT) },
    (_, i) => from + i,
  ).filter(
    (day) =>
      day > today && !wanted.includes(day) && distance(day) <= NEAR_DAYS && isWorkingDay(day, workingDays),
  );
  const found = await daysAsked(business_id, around.map(isoOf), asking);
  return found
    .filter(({ free }) => free)
    .sort((a, b) => distance(readDay(a.day)!) - distance(readDay(b.day)!))
    .slice(0, MOST_NEAR)
    .sort((a, b) => a.day.localeCompare(b.day));
}

async function daysAsked(
  business_id: string,
  days: readonly string[],
  asking: DayAsking,
): Promise<DayAsked[]> {
  return (await factsOfDays(business_id, days, asking.book)).map((facts) => dayAsked(facts, asking));
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

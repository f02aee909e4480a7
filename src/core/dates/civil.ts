/**
 * Calendar dates as day numbers: whole days since 1970-01-01 in the proleptic Gregorian calendar (ISO 8601).
 * A day number has no zone; see zone.ts for moments.
 */
export type Day = number;

/** A date of the Gregorian calendar; months from 1. */
export interface CivilDate {
  year: number;
  /** 1 to 12 */
  month: number;
  /** 1 to 31 */
  day: number;
}

/** The day number of a calendar date. After Howard Hinnant's days_from_civil. */
export function dayOf({ year, month, day }: CivilDate): Day {
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const yearOfEra = y - era * 400;
  const dayOfYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + day - 1;
  const dayOfEra = yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear;
  return era * 146097 + dayOfEra - 719468;
}

/** The calendar date of a day number. After Howard Hinnant's civil_from_days. */
export function civilOf(day: Day): CivilDate {
  const z = day + 719468;
  const era = Math.floor(z / 146097);
  const dayOfEra = z - era * 146097;
  const yearOfEra = Math.floor(
    (dayOfEra - Math.floor(dayOfEra / 1460) + Math.floor(dayOfEra / 36524) - Math.floor(dayOfEra / 146096)) /
      365,
  );
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const monthFromMarch = Math.floor((5 * dayOfYear + 2) / 153);
  const month = monthFromMarch < 10 ? monthFromMarch + 3 : monthFromMarch - 9;
  return {
    year: yearOfEra + era * 400 + (month <= 2 ? 1 : 0),
    month,
    day: dayOfYear - Math.floor((153 * monthFromMarch + 2) / 5) + 1,
  };
}

/** Reads an ISO date; undefined when it is none, 2026-02-30 included. */
export function readDay(iso: string): Day | undefined {
  return iso.length === 10 ? readDayAtStart(iso) : undefined;
}

/** Reads the date that a longer text begins with. */
export function readDayAtStart(iso: string): Day | undefined {
  if (iso.charCodeAt(4) !== HYPHEN || iso.charCodeAt(7) !== HYPHEN) return undefined;
  const year = twoDigits(iso, 0) * 100 + twoDigits(iso, 2);
  const month = twoDigits(iso, 5);
  const day = twoDigits(iso, 8);
  // A place that holds no digit gives NaN, which no comparison lets through.
  if (!(year >= 0 && month >= 1 && month <= 12 && day >= 1 && day <= daysInMonth(year, month)))
    return undefined;
  return dayOf({ year, month, day });
}

const HYPHEN = 45;

/** The number that two digits make at a place of a text; NaN where they are no digits. */
export function twoDigits(text: string, at: number): number {
  const tens = text.charCodeAt(at) - 48;
  const ones = text.charCodeAt(at + 1) - 48;
  return tens >= 0 && tens <= 9 && ones >= 0 && ones <= 9 ? tens * 10 + ones : NaN;
}

/** ISO 8601. */
export const isoOf = keepingDays((day) => {
  const { year, month, day: d } = civilOf(day);
  return `${year > 999 ? year : String(year).padStart(4, '0')}-${two(month)}-${two(d)}`;
});

/** The days from 1970 to 2149, which letters speak of. */
const KEPT_DAYS = 65_536;

/** Keeps what was worked out for a day, for 256 neighbours in one place; a table by number is the fastest there is. */
export function keepingDays<T>(work: (day: Day) => T): (day: Day) => T {
  const kept: (T | undefined)[][] = [];
  return (day) => {
    if (!(day >= 0 && day < KEPT_DAYS)) return work(day);
    // Filled, so that a table of numbers and one of words are of one kind to whoever looks into them.
    const near = (kept[day >> 8] ??= new Array<T | undefined>(256).fill(undefined));
    return (near[day & 255] ??= work(day));
  };
}

/** 1 for Monday to 7 for Sunday. */
export function weekdayOf(day: Day): number {
  return ((((day + 3) % 7) + 7) % 7) + 1;
}

export function daysInMonth(year: number, month: number): number {
  if (month === 2) return (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0 ? 29 : 28;
  return month === 4 || month === 6 || month === 9 || month === 11 ? 30 : 31;
}

/** Adds months and stays inside the month: 31 January plus 1 is the last of February. */
export function plusMonths(day: Day, months: number): Day {
  const date = civilOf(day);
  const count = date.year * 12 + date.month - 1 + months;
  const year = Math.floor(count / 12);
  const month = count - year * 12 + 1;
  return dayOf({ year, month, day: Math.min(date.day, daysInMonth(year, month)) });
}

/** The first day of a day's month. */
export function startOfMonth(day: Day): Day {
  return day - civilOf(day).day + 1;
}

/** The last day of a day's month. */
export function endOfMonth(day: Day): Day {
  const { year, month, day: d } = civilOf(day);
  return day - d + daysInMonth(year, month);
}

/** The first day after this one that falls on a weekday from 1 (Monday) to 7 (Sunday). */
export function nextWeekday(day: Day, weekday: number): Day {
  return day + (((weekday - weekdayOf(day) + 6) % 7) + 1);
}

/** Whole months from one day to another, negative when it lies before. */
export function monthsBetween(from: Day, to: Day): number {
  const [a, b] = [civilOf(from), civilOf(to)];
  const months = (b.year - a.year) * 12 + b.month - a.month;
  if (months > 0 && plusMonths(from, months) > to) return months - 1;
  if (months < 0 && plusMonths(from, months) < to) return months + 1;
  return months;
}

/** A whole number below 100 in two digits. */
export function two(n: number): string {
  return TWO[n]!;
}

const TWO = Array.from({ length: 100 }, (_, n) => (n < 10 ? `0${n}` : String(n)));

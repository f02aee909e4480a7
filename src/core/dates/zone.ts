import { dayOf, isoOf, keepingDays, readDayAtStart, two, twoDigits, type Day } from './civil';

/** A moment: milliseconds since 1970-01-01T00:00:00Z. */
export type Moment = number;

/** The wall-clock reading of a moment in a zone. */
export interface WallClock {
  day: Day;
  /** milliseconds since midnight on the wall clock */
  time: number;
}

const DAY_MS = 86_400_000;
const T = 84;
const COLON = 58;
/** What may follow the minutes: seconds and their fraction, then the offset from UTC. */
const REST = /^(?::([0-5]\d)(\.\d+)?)?(?:Z|([+-])([01]\d|2[0-3]):([0-5]\d))$/;
const formats = new Map<string, Intl.DateTimeFormat>();
/** By zone, its offset on a day in UTC, NaN where it changes: days are few where moments are many, and to read one is slow. */
const offsets = new Map<string, (day: Day) => number>();
/** A business's moments are all read in one zone. */
let last: { zone: string; offsetOn: (day: Day) => number } | undefined;

/** Reads an ISO moment with its offset or Z; undefined when it is none. */
export function readMoment(iso: string): Moment | undefined {
  const day = readDayAtStart(iso);
  const hour = twoDigits(iso, 11);
  const minute = twoDigits(iso, 14);
  if (day === undefined || iso.charCodeAt(10) !== T || iso.charCodeAt(13) !== COLON) return undefined;
  if (!(hour < 24 && minute < 60)) return undefined;
  const moment = day * DAY_MS + (hour * 60 + minute) * 60_000;
  if (iso.length === 20 && iso.endsWith(':00Z')) return moment;
  const found = REST.exec(iso.slice(16));
  if (!found) return undefined;
  const [, seconds = '0', fraction = '', sign, hours = '0', minutes = '0'] = found;
  const offset = (Number(hours) * 60 + Number(minutes)) * 60_000;
  // Beyond milliseconds nothing is kept.
  const after = Number(seconds) * 1000 + Number(fraction.slice(1, 4).padEnd(3, '0'));
  return moment + after - (sign === '-' ? -offset : offset);
}

/** Whether the platform knows a zone by this name. */
export function isTimeZone(name: string): boolean {
  try {
    formatFor(name);
    return true;
  } catch {
    return false;
  }
}

/** Milliseconds the zone is ahead of UTC at a moment. */
export function offsetAt(moment: Moment, zone: string): number {
  if (last?.zone !== zone) last = { zone, offsetOn: offsetsOf(zone) };
  const offset = last.offsetOn(Math.floor(moment / DAY_MS));
  return Number.isNaN(offset) ? readOffset(moment, zone) : offset;
}

function offsetsOf(zone: string): (day: Day) => number {
  let offsetOn = offsets.get(zone);
  if (!offsetOn) {
    const atStart = keepingDays((day) => readOffset(day * DAY_MS, zone));
    // No zone goes to another offset and back within a day.
    offsetOn = keepingDays((day) => (atStart(day) === atStart(day + 1) ? atStart(day) : NaN));
    offsets.set(zone, offsetOn);
  }
  return offsetOn;
}

function readOffset(moment: Moment, zone: string): number {
  const parts: Record<string, number> = {};
  for (const { type, value } of formatFor(zone).formatToParts(moment)) parts[type] = Number(value);
  const { year = 0, month = 1, day = 1, hour = 0, minute = 0, second = 0 } = parts;
  const wall = dayOf({ year, month, day }) * DAY_MS + ((hour * 60 + minute) * 60 + second) * 1000;
  return wall - Math.floor(moment / 1000) * 1000;
}

/** The day and the time of day that a moment has in a zone. */
export function wallClockOf(moment: Moment, zone: string): WallClock {
  const local = moment + offsetAt(moment, zone);
  const day = Math.floor(local / DAY_MS);
  return { day, time: local - day * DAY_MS };
}

/** The calendar day that a moment falls on in a zone. */
export function dayAt(moment: Moment, zone: string): Day {
  return Math.floor((moment + offsetAt(moment, zone)) / DAY_MS);
}

/**
 * The moment at which a zone's clocks show this reading. A reading that a clock change skips is taken after the
 * gap by as much as it lay inside it; one that occurs twice is the first (as ECMAScript's Temporal, "compatible").
 */
export function momentOf({ day, time }: WallClock, zone: string): Moment {
  const local = day * DAY_MS + time;
  const before = offsetAt(local - DAY_MS, zone);
  const after = offsetAt(local + DAY_MS, zone);
  const early = local - before;
  if (offsetAt(early, zone) === before) return early;
  const late = local - after;
  return offsetAt(late, zone) === after ? late : early;
}

/** A moment as ISO 8601 with the zone's offset, to the minute or, where they are not zero, the second. */
export function isoMoment(moment: Moment, zone: string): string {
  const offset = offsetAt(moment, zone);
  const local = moment + offset;
  const day = Math.floor(local / DAY_MS);
  const seconds = Math.floor((local - day * DAY_MS) / 1000);
  const minutes = Math.floor(seconds / 60);
  const sign = offset < 0 ? '-' : '+';
  const ahead = CLOCK[Math.abs(Math.round(offset / 60_000))]!;
  return isoOf(day) + 'T' + CLOCK[minutes]! + ':' + two(seconds - minutes * 60) + sign + ahead;
}

/** "09:30" by the minute of the day. */
const CLOCK = Array.from(
  { length: 1440 },
  (_, minute) => `${two(Math.floor(minute / 60))}:${two(minute % 60)}`,
);

function formatFor(zone: string): Intl.DateTimeFormat {
  let format = formats.get(zone);
  if (!format) {
    format = new Intl.DateTimeFormat('en-US-u-ca-gregory-nu-latn', {
      timeZone: zone,
      hourCycle: 'h23',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    });
    formats.set(zone, format);
  }
  return format;
}

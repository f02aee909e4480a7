import { civilOf, dayOf, readDayAtStart, twoDigits, type Day } from './civil';

/** A moment: milliseconds since 1970-01-01T00:00:00Z. */
export type Moment = number;

/** The wall-clock reading of a moment in a zone. */
export interface WallClock {
  day: Day;
  /** milliseconds since midnight on the wall clock */
  time: number;
}

const DAY_MS = 86_400_000;
/** What may follow the minutes: seconds and their fraction, then the offset from UTC. */
const REST = /^(?::([0-5]\d)(\.\d+)?)?(?:Z|([+-])([01]\d|2[0-3]):([0-5]\d))$/;
const formats = new Map<string, Intl.DateTimeFormat>();
const starts = new Map<string, Map<Day, number>>();
const MOST_DAYS = 4000;

/** Reads an ISO moment with its offset or Z; undefined when it is none. */
export function readMoment(iso: string): Moment | undefined {
  const day = readDayAtStart(iso);
  const hour = twoDigits(iso, 11);
  const minute = twoDigits(iso, 14);
  if (day === undefined || iso[10] !== 'T' || iso[13] !== ':' || !(hour < 24 && minute < 60))
    return undefined;
  const moment = day * DAY_MS + (hour * 60 + minute) * 60_000;
  const rest = iso.slice(16);
  if (rest === 'Z' || rest === ':00Z') return moment;
  const found = REST.exec(rest);
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
  const day = Math.floor(moment / DAY_MS);
  const offset = offsetAtStart(day, zone);
  // No zone goes to another offset and back within a day.
  return offset === offsetAtStart(day + 1, zone) ? offset : readOffset(moment, zone);
}

/** At the start of a day in UTC: days are few where moments are many, and reading one is slow. */
function offsetAtStart(day: Day, zone: string): number {
  let days = starts.get(zone);
  if (!days || days.size >= MOST_DAYS) starts.set(zone, (days = new Map()));
  let offset = days.get(day);
  if (offset === undefined) days.set(day, (offset = readOffset(day * DAY_MS, zone)));
  return offset;
}

function readOffset(moment: Moment, zone: string): number {
  const parts: Record<string, number> = {};
  for (const { type, value } of formatFor(zone).formatToParts(moment)) parts[type] = Number(value);
  const { year = 0, month = 1, day = 1, hour = 0, minute = 0, second = 0 } = parts;
  const wall = dayOf({ year, month, day }) * DAY_MS + ((hour * 60 + minute) * 60 + second) * 1000;
  return wall - Math.floor(moment / 1000) * 1000;
}

export function wallClockOf(moment: Moment, zone: string): WallClock {
  const local = moment + offsetAt(moment, zone);
  const day = Math.floor(local / DAY_MS);
  return { day, time: local - day * DAY_MS };
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
  const { year, month, day } = civilOf(Math.floor((moment + offset) / DAY_MS));
  const time = wallClockOf(moment, zone).time;
  const two = (n: number) => String(Math.floor(n)).padStart(2, '0');
  const clock = [time / 3_600_000, (time / 60_000) % 60, (time / 1000) % 60].map(two).join(':');
  const minutes = Math.abs(Math.round(offset / 60_000));
  const sign = offset < 0 ? '-' : '+';
  return `${String(year).padStart(4, '0')}-${two(month)}-${two(day)}T${clock}${sign}${two(minutes / 60)}:${two(minutes % 60)}`;
}

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

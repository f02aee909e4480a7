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
/** What may follow the minutes: seconds and their fraction, then the offset from UTC. */
const REST = /^(?::([0-5]\d)(\.\d+)?)?(?:Z|([+-])([01]\d|2[0-3]):([0-5]\d))$/;
const formats = new Map<string, Intl.DateTimeFormat>();
/** A zone's offset at the start of a day in UTC: days are few where moments are many, and reading one is slow. */
const starts = new Map<string, (day: Day) => number>();

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
  let atStart = starts.get(zone);
  if (!atStart) starts.set(zone, (atStart = keepingDays((day) => readOffset(day * DAY_MS, zone))));
  const day = Math.floor(moment / DAY_MS);
  const offset = atStart(day);
  // No zone goes to another offset and back within a day.
  return offset === atStart(day + 1) ? offset : readOffset(moment, zone);
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
  const local = moment + offset;
  const day = Math.floor(local / DAY_MS);
  const clock = clockOf(Math.floor((local - day * DAY_MS) / 1000));
  const ahead = clockOf(Math.abs(Math.round(offset / 60_000)) * 60).slice(0, 5);
  return `${isoOf(day)}T${clock}${offset < 0 ? '-' : '+'}${ahead}`;
}

/** Seconds since midnight as "09:30:00". */
function clockOf(seconds: number): string {
  const minutes = Math.floor(seconds / 60);
  const hours = Math.floor(minutes / 60);
  return `${two(hours)}:${two(minutes - hours * 60)}:${two(seconds - minutes * 60)}`;
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

import ICAL from 'ical.js';
import { readDay, type Day } from '../dates/civil';
import { isTimeZone, momentOf, wallClockOf, type Moment, type WallClock } from '../dates/zone';
import type { OwnWays } from './brought';
import { repeatedDays, type Repeating } from './repeatedDays';

/** So many events and days of repeated ones are read of a file at most. */
const MOST_EVENTS = 20_000;
/** Repeated ones are read for so many days back and ahead. */
const WINDOW = 366;
const DAY_MS = 86_400_000;

/** A visit of a calendar, or why there is none. */
export interface CalendarEvent {
  /** its own, with the day where it is one of several; undefined: it names none */
  uid?: string;
  words: Readonly<Partial<Record<'summary' | 'description' | 'location' | 'status', string>>>;
  /** of those who are asked to it */
  emails: string[];
  names: string[];
  starts?: Moment;
  ends?: Moment;
  /** the day that it lasts, without hours; ISO */
  wholeDay?: Day;
  /** what of it was not understood, each with the property */
  doubts: { column: string; words: string; message: string }[];
}

/** A property of jCal (RFC 7265): its name, its parameters, its type and its values. */
type Property = [
  name: string,
  parameters: Record<string, string | string[]>,
  type: string,
  ...values: unknown[],
];

/** An event as it is written. */
interface Written {
  properties: Property[];
  doubts: CalendarEvent['doubts'];
}

/**
 * The events of a calendar (RFC 5545), each read by itself, so that one that is broken keeps no other out. One that repeats is there
 * on each of its days, without those that are excepted and with those that were moved, a year back and ahead. A time without a zone
 * is the business's clock.
 */
export function eventsIn(
  text: string,
  own: Pick<OwnWays, 'zone' | 'now'>,
): { events: CalendarEvent[]; problems: { line: number; message: string }[] } {
  const { blocks, problems } = blocksIn(text);
  const clock = new CalendarClock(
    blocks.filter(({ name }) => name === 'VTIMEZONE').map(({ content }) => content),
    own.zone,
  );
  const written = blocks.filter(({ name }) => name === 'VEVENT').map(({ content }) => readBlock(content));
  const events: CalendarEvent[] = [];
  const moved = new Map<string, Set<number>>();
  for (const { properties } of written) {
    const uid = textOf(properties, 'uid');
    const at = clock.read(find(properties, 'recurrence-id'));
    if (!uid || !at) continue;
    moved.set(uid, (moved.get(uid) ?? new Set()).add(clock.moment(at)));
  }
  for (const one of written) {
    events.push(...occurrencesOf(one, clock, own, moved));
    if (events.length > MOST_EVENTS) {
      problems.push({ line: 1, message: `Only the first ${MOST_EVENTS} events are read.` });
      events.length = MOST_EVENTS;
      break;
    }
  }
  return { events, problems };
}

/** The parts of a calendar that are read, from each BEGIN to its END. Linear. */
function blocksIn(text: string) {
  const blocks: { name: string; content: string }[] = [];
  const problems: { line: number; message: string }[] = [];
  const lines = text.split(/\r\n|\r|\n/);
  let open: { name: string; from: number } | undefined;
  lines.forEach((written, i) => {
    const line = written.trimEnd().toUpperCase();
    if (line === 'BEGIN:VEVENT' || line === 'BEGIN:VTIMEZONE') {
      if (open) problems.push({ line: open.from + 1, message: 'What begins here has no end.' });
      open = { name: line.slice(6), from: i };
    } else if (open && line === `END:${open.name}`) {
      blocks.push({ name: open.name, content: lines.slice(open.from, i + 1).join('\r\n') });
      open = undefined;
    }
  });
  if (open) problems.push({ line: open.from + 1, message: 'What begins here has no end.' });
  return { blocks, problems };
}

function readBlock(content: string): Written {
  try {
    const [, properties] = ICAL.parse(content) as [string, Property[]];
    return { properties, doubts: [] };
  } catch (error) {
    const message = `This event cannot be read: ${(error as Error).message}`;
    return { properties: [], doubts: [{ column: '', words: '', message: message.slice(0, 300) }] };
  }
}

function find(properties: readonly Property[], name: string): Property | undefined {
  return properties.find(([one]) => one === name);
}

function textOf(properties: readonly Property[], name: string): string | undefined {
  const value = find(properties, name)?.[3];
  return typeof value === 'string' && value.trim() ? value.trim() : undefined;
}

/** A day, with the time on a clock of a zone or without. */
interface Stamp {
  day: Day;
  time?: number;
  zone: string;
}

/** Reads what a calendar says of times, with the zones that it brings along. */
class CalendarClock {
  readonly #brought = new Map<string, InstanceType<typeof ICAL.Timezone>>();
  /** names of zones that nothing is known of */
  readonly unknown = new Set<string>();

  constructor(
    zones: readonly string[],
    readonly own: string,
  ) {
    for (const content of zones.slice(0, 500))
      try {
        const component = ICAL.Component.fromString(content);
        const tzid = String(component.getFirstPropertyValue('tzid') ?? '');
        this.#brought.set(tzid, new ICAL.Timezone({ component, tzid }));
      } catch {
        // What names it is in doubt.
      }
  }

  /** The first value of a property as a day or a time; undefined where there is no such day. */
  read(property: Property | undefined, value: unknown = property?.[3]): Stamp | undefined {
    const found = /^(\d{4}-\d\d-\d\d)(?:T(\d\d):(\d\d):(\d\d)(Z?))?$/.exec(
      typeof value === 'string' ? value : '',
    );
    const day = found ? readDay(found[1]!) : undefined;
    if (!property || !found || day === undefined) return undefined;
    if (found[2] === undefined) return { day, zone: this.own };
    const [hours, minutes, seconds] = [Number(found[2]), Number(found[3]), Number(found[4])];
    if (hours > 23 || minutes > 59 || seconds > 60) return undefined;
    const zone = found[5] ? 'UTC' : this.zoneOf(property);
    return { day, time: ((hours * 60 + minutes) * 60 + seconds) * 1000, zone };
  }

  zoneOf([, parameters]: Property): string {
    const tzid = String(parameters.tzid ?? '');
    if (!tzid) return this.own;
    // "/vendor/Europe/Berlin", as some write it
    const parts = tzid.split('/');
    const name = [tzid, parts.slice(-3).join('/'), parts.slice(-2).join('/')].find(isTimeZone);
    if (name) return name;
    if (this.#brought.has(tzid)) return tzid;
    this.unknown.add(tzid);
    return this.own;
  }

  moment({ day, time = 0, zone }: Stamp): Moment {
    const brought = isTimeZone(zone) ? undefined : this.#brought.get(zone);
    if (!brought) return momentOf({ day, time }, zone);
    const local = new Date(day * DAY_MS + time);
    const at = ICAL.Time.fromData({
      year: local.getUTCFullYear(),
      month: local.getUTCMonth() + 1,
      day: local.getUTCDate(),
      hour: local.getUTCHours(),
      minute: local.getUTCMinutes(),
      second: local.getUTCSeconds(),
    });
    return day * DAY_MS + time - brought.utcOffset(at) * 1000;
  }

  /** What a clock in a zone shows; of a zone that a calendar brings along, the business's own. */
  show(moment: Moment, zone: string): WallClock {
    return wallClockOf(moment, isTimeZone(zone) ? zone : this.own);
  }
}

function occurrencesOf(
  { properties, doubts }: Written,
  clock: CalendarClock,
  { now }: Pick<OwnWays, 'now'>,
  moved: ReadonlyMap<string, ReadonlySet<number>>,
): CalendarEvent[] {
  const own = [...doubts];
  const words = Object.fromEntries(
    (['summary', 'description', 'location', 'status'] as const).flatMap((name) => {
      const text = textOf(properties, name);
      return text === undefined ? [] : [[name, text]];
    }),
  );
  const asked = properties.filter(([name]) => name === 'attendee');
  const event = {
    words,
    emails: asked
      .map(([, , , value]) => String(value).replace(/^mailto:/i, ''))
      .filter((one) => one.includes('@')),
    names: asked.map(([, parameters]) => String(parameters.cn ?? '')).filter(Boolean),
    doubts: own,
  };
  if (properties.length === 0) return [event];
  const begins = find(properties, 'dtstart');
  const start = clock.read(begins);
  const uid = textOf(properties, 'uid');
  if (!start || !begins) {
    own.push({
      column: 'DTSTART',
      words: String(begins?.[3] ?? ''),
      message: begins ? 'There is no such day or time.' : 'It does not say when it begins.',
    });
    return [{ ...event, ...(uid ? { uid } : {}) }];
  }
  for (const name of [begins, find(properties, 'dtend')])
    if (name && clock.unknown.has(String(name[1].tzid ?? '')))
      own.push({
        column: 'TZID',
        words: String(name[1].tzid),
        message: 'This time zone is not known: the time is taken as that of your own clock.',
      });
  const lasts = lengthOf(properties, clock, start, own);
  const at = (stamp: Stamp, name: string | undefined): CalendarEvent => {
    const one = { ...event, doubts: [...own], ...(name ? { uid: name } : {}) };
    if (stamp.time === undefined) return { ...one, wholeDay: stamp.day };
    const starts = clock.moment(stamp);
    return { ...one, starts, ...(lasts === undefined ? {} : { ends: starts + lasts }) };
  };
  const replaced = clock.read(find(properties, 'recurrence-id'));
  if (replaced) return [at(start, uid && named(uid, clock.moment(replaced)))];
  const rule = find(properties, 'rrule');
  const extra = properties
    .filter(([name]) => name === 'rdate')
    .flatMap((one) => one.slice(3).flatMap((value) => clock.read(one, value) ?? []));
  if (!rule && extra.length === 0) return [at(start, uid)];
  const repeating = rule && readRule(rule[3], start, clock);
  if (rule && !repeating)
    own.push({
      column: 'RRULE',
      words: JSON.stringify(rule[3]).slice(0, 300),
      message: 'It repeats in a way that is not read: only its first day comes in.',
    });
  const today = Math.floor(now / DAY_MS);
  const days = repeating ? repeatedDays(repeating, start.day, today - WINDOW, today + WINDOW) : [start.day];
  const out = properties
    .filter(([name]) => name === 'exdate')
    .flatMap((one) => one.slice(3).flatMap((value) => clock.read(one, value) ?? []));
  const outMoments = new Set(out.filter(({ time }) => time !== undefined).map((one) => clock.moment(one)));
  const outDays = new Set(out.filter(({ time }) => time === undefined).map(({ day }) => day));
  const gone = uid === undefined ? undefined : moved.get(uid);
  const stamps = [...days.map((day) => ({ ...start, day })), ...extra];
  const seen = new Set<number>();
  return stamps.flatMap((stamp) => {
    const moment = clock.moment(stamp);
    if (seen.has(moment) || outMoments.has(moment) || outDays.has(stamp.day) || gone?.has(moment)) return [];
    seen.add(moment);
    return [at(stamp, uid && named(uid, moment))];
  });
}

function named(uid: string, moment: Moment): string {
  return `${uid} ${new Date(moment).toISOString()}`;
}

/** How long it lasts, in milliseconds; undefined: it does not say, or nothing. */
function lengthOf(
  properties: readonly Property[],
  clock: CalendarClock,
  start: Stamp,
  doubts: CalendarEvent['doubts'],
): number | undefined {
  const ends = find(properties, 'dtend');
  if (ends) {
    const end = clock.read(ends);
    const lasts = end && clock.moment(end) - clock.moment(start);
    if (lasts === undefined || lasts < 0)
      doubts.push({
        column: 'DTEND',
        words: String(ends[3]),
        message: 'It ends before it begins, or never.',
      });
    return lasts !== undefined && lasts > 0 ? lasts : undefined;
  }
  const duration = find(properties, 'duration')?.[3];
  if (typeof duration !== 'string') return undefined;
  try {
    const seconds = ICAL.Duration.fromString(duration).toSeconds();
    return seconds > 0 ? seconds * 1000 : undefined;
  } catch {
    return undefined;
  }
}

const WEEKDAYS = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];
const READ = new Set([
  ...['freq', 'interval', 'count', 'until', 'byday', 'bymonthday', 'bymonth', 'bysetpos', 'wkst'],
]);

/** A rule as jCal has it; undefined where it says what is not read. */
function readRule(value: unknown, start: Stamp, clock: CalendarClock): Repeating | undefined {
  if (typeof value !== 'object' || value === null) return undefined;
  const said = value as Record<string, unknown>;
  const list = (name: string) => [said[name] ?? []].flat();
  const whole = (name: string) => list(name).map(Number);
  const freq = String(said.freq);
  if (!['DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY'].includes(freq)) return undefined;
  if (Object.keys(said).some((name) => !READ.has(name))) return undefined;
  const byDay = list('byday').map((one) => /^([+-]?\d{1,2})?(MO|TU|WE|TH|FR|SA|SU)$/.exec(String(one)));
  const numbers = ['bymonthday', 'bymonth', 'bysetpos'].flatMap(whole);
  if (byDay.some((one) => !one) || numbers.some((one) => !Number.isInteger(one))) return undefined;
  const interval = Number(said.interval ?? 1);
  const count = said.count === undefined ? undefined : Number(said.count);
  if (!Number.isInteger(interval) || interval < 1 || (count !== undefined && !(count > 0))) return undefined;
  const until = untilOf(said.until, start, clock);
  if (said.until !== undefined && until === undefined) return undefined;
  // The start's wall clock decides: a rule until a moment in UTC ends on the day it has there.
  return {
    freq: freq as Repeating['freq'],
    interval,
    ...(count === undefined ? {} : { count }),
    ...(until === undefined ? {} : { until }),
    byDay: byDay.map((one) => ({
      weekday: WEEKDAYS.indexOf(one![2]!) + 1,
      ...(one![1] ? { nth: Number(one![1]) } : {}),
    })),
    byMonthDay: whole('bymonthday'),
    byMonth: whole('bymonth'),
    bySetPos: whole('bysetpos'),
    weekStart: weekStartOf(said.wkst),
  };
}

/** jCal has it as a number, 1 for Sunday, or as its two letters. */
function weekStartOf(said: unknown): number {
  if (typeof said === 'number') return said === 1 ? 7 : said - 1;
  return WEEKDAYS.indexOf(String(said)) + 1 || 1;
}

/** The last day, by the clock on which it begins. */
function untilOf(said: unknown, start: Stamp, clock: CalendarClock): Day | undefined {
  if (said === undefined) return undefined;
  const stamp = clock.read(['until', {}, 'date-time', said]);
  if (!stamp) return undefined;
  if (stamp.time === undefined || start.time === undefined) return stamp.day;
  const zone = stamp.zone === 'UTC' ? start.zone : stamp.zone;
  const { day, time } =
    stamp.zone === 'UTC' ? clock.show(clock.moment(stamp), zone) : { ...stamp, time: stamp.time };
  return time < start.time ? day - 1 : day;
}

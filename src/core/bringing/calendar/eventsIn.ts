import ICAL from 'ical.js';
import type { Day } from '../../dates/civil';
import type { Moment } from '../../dates/zone';
import type { OwnWays } from '../brought';
import { CalendarClock, type Property, type Stamp } from './calendarClock';
import { repeatedDays } from './repeatedDays';
import { readRule } from './repeatingRule';

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

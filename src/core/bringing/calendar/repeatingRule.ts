import type { Day } from '../../dates/civil';
import type { CalendarClock, Stamp } from './calendarClock';
import type { Repeating } from './repeatedDays';

const WEEKDAYS = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];
const READ = new Set([
  ...['freq', 'interval', 'count', 'until', 'byday', 'bymonthday', 'bymonth', 'bysetpos', 'wkst'],
]);

/** A rule as jCal has it; undefined where it says what is not read. */
export function readRule(value: unknown, start: Stamp, clock: CalendarClock): Repeating | undefined {
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

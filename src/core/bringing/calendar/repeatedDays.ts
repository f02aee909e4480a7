import { civilOf, dayOf, endOfMonth, startOfMonth, weekdayOf, type Day } from '../../dates/civil';

/** How an event repeats (RFC 5545, 3.3.10), as far as visits do: by days, weeks, months and years. */
export interface Repeating {
  freq: 'DAILY' | 'WEEKLY' | 'MONTHLY' | 'YEARLY';
  interval: number;
  count?: number;
  /** the last day */
  until?: Day;
  /** 1 Monday to 7 Sunday, with its place in the month or the year: -1 the last */
  byDay: readonly { weekday: number; nth?: number }[];
  byMonthDay: readonly number[];
  byMonth: readonly number[];
  bySetPos: readonly number[];
  /** on which a week begins */
  weekStart: number;
}

/** A count goes on for so many days from the first at most. */
const LONGEST = 20_000;

/**
 * The days on which it repeats, the first included where the rule names it, from one day to another. What never comes true ends, too:
 * each day is looked at once.
 */
export function repeatedDays(rule: Repeating, first: Day, from: Day, to: Day): Day[] {
  const last = Math.min(to, rule.until ?? to, first + LONGEST);
  // What is counted is counted from the first; a set is of its whole period.
  const begin = rule.count !== undefined || rule.bySetPos.length > 0 ? first : Math.max(first, from);
  const days: Day[] = [];
  let counted = 0;
  let period: Day[] = [];
  const take = (found: readonly Day[]) => {
    for (const day of found) {
      if (day < first || day > last || (rule.count !== undefined && counted >= rule.count)) continue;
      counted++;
      if (day >= from) days.push(day);
    }
  };
  const isSet = rule.bySetPos.length > 0;
  // A set is of its whole period, from its first day on.
  for (
    let day = isSet ? startOfPeriod(rule, begin) : begin;
    day <= (isSet ? endOfPeriod(rule, last) : last);
    day++
  ) {
    if (isSet && day === startOfPeriod(rule, day)) {
      take(chosen(period, rule.bySetPos));
      period = [];
    }
    if (!isNamed(rule, first, day)) continue;
    if (isSet) period.push(day);
    else take([day]);
    if (rule.count !== undefined && counted >= rule.count) break;
  }
  take(chosen(period, rule.bySetPos));
  return days;
}

function isNamed(rule: Repeating, first: Day, day: Day): boolean {
  const { freq, interval, byDay, byMonthDay, byMonth } = rule;
  const [start, at] = [civilOf(first), civilOf(day)];
  if (byMonth.length > 0 && !byMonth.includes(at.month)) return false;
  const monthDay = () => byMonthDay.includes(at.day) || byMonthDay.includes(at.day - lengthOfMonth(day) - 1);
  if (byMonthDay.length > 0 && !monthDay()) return false;
  switch (freq) {
    case 'DAILY':
      return (day - first) % interval === 0 && isWeekdayNamed(byDay, day);
    case 'WEEKLY':
      return (
        ((startOfWeek(day, rule.weekStart) - startOfWeek(first, rule.weekStart)) / 7) % interval === 0 &&
        (byDay.length > 0 ? isWeekdayNamed(byDay, day) : weekdayOf(day) === weekdayOf(first))
      );
    case 'MONTHLY':
      return (
        ((at.year - start.year) * 12 + at.month - start.month) % interval === 0 &&
        (byDay.length > 0
          ? byDay.some((one) => isNth(one, day, startOfMonth(day), endOfMonth(day)))
          : byMonthDay.length > 0 || at.day === start.day)
      );
    case 'YEARLY': {
      if ((at.year - start.year) % interval !== 0) return false;
      const [from, to] =
        byMonth.length > 0
          ? [startOfMonth(day), endOfMonth(day)]
          : [dayOf({ year: at.year, month: 1, day: 1 }), dayOf({ year: at.year, month: 12, day: 31 })];
      if (byDay.length > 0) return byDay.some((one) => isNth(one, day, from, to));
      return (
        (byMonth.length > 0 || byMonthDay.length > 0 || at.month === start.month) &&
        (byMonthDay.length > 0 || at.day === start.day)
      );
    }
  }
}

function isWeekdayNamed(byDay: Repeating['byDay'], day: Day): boolean {
  return byDay.length === 0 || byDay.some(({ weekday }) => weekday === weekdayOf(day));
}

/** Whether a day is the nth of its weekday in a span. */
function isNth({ weekday, nth }: Repeating['byDay'][number], day: Day, from: Day, to: Day): boolean {
  if (weekday !== weekdayOf(day)) return false;
  if (nth === undefined) return true;
  return nth > 0 ? Math.floor((day - from) / 7) + 1 === nth : -(Math.floor((to - day) / 7) + 1) === nth;
}

function chosen(period: readonly Day[], places: readonly number[]): Day[] {
  return period.filter((_, i) => places.includes(i + 1) || places.includes(i - period.length));
}

function startOfPeriod({ freq, weekStart }: Repeating, day: Day): Day {
  switch (freq) {
    case 'DAILY':
      return day;
    case 'WEEKLY':
      return startOfWeek(day, weekStart);
    case 'MONTHLY':
      return startOfMonth(day);
    case 'YEARLY':
      return dayOf({ year: civilOf(day).year, month: 1, day: 1 });
  }
}

function endOfPeriod(rule: Repeating, day: Day): Day {
  switch (rule.freq) {
    case 'DAILY':
      return day;
    case 'WEEKLY':
      return startOfWeek(day, rule.weekStart) + 6;
    case 'MONTHLY':
      return endOfMonth(day);
    case 'YEARLY':
      return dayOf({ year: civilOf(day).year, month: 12, day: 31 });
  }
}

function startOfWeek(day: Day, weekStart: number): Day {
  return day - ((weekdayOf(day) - weekStart + 7) % 7);
}

function lengthOfMonth(day: Day): number {
  return endOfMonth(day) - startOfMonth(day) + 1;
}

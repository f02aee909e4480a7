import { addMonths, differenceInCalendarDays, getISODay, lastDayOfMonth } from 'date-fns';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  civilOf,
  dayOf,
  endOfMonth,
  isoOf,
  monthsBetween,
  nextWeekday,
  plusMonths,
  readDay,
  startOfMonth,
  weekdayOf,
} from './civil';

const day = (iso: string) => readDay(iso)!;
const days = fc.integer({ min: -200_000, max: 200_000 });
const utc = (d: number) => new Date(d * 86_400_000);
/** date-fns reads local fields; the test run's zone is UTC or near, so noon is safe. */
const local = (d: number) => {
  const { year, month, day: date } = civilOf(d);
  const made = new Date(2000, 0, 1, 12);
  made.setFullYear(year, month - 1, date);
  return made;
};

describe('calendar dates', () => {
  it('are read from ISO and written back', () => {
    expect(isoOf(day('2026-03-03'))).toBe('2026-03-03');
    expect(day('1970-01-01')).toBe(0);
  });

  it.each([
    '2026-02-30',
    '2026-13-01',
    '2026-00-10',
    '2026-1-1',
    '2025-02-29',
    'tomorrow',
    '2026-03-03T00:00:00Z',
  ])('%s is none', (text) => expect(readDay(text)).toBeUndefined());

  it('agree with the platform’s calendar', () => {
    fc.assert(
      fc.property(days, (d) => {
        const date = utc(d);
        expect(civilOf(d)).toEqual({
          year: date.getUTCFullYear(),
          month: date.getUTCMonth() + 1,
          day: date.getUTCDate(),
        });
        expect(dayOf(civilOf(d))).toBe(d);
        expect(weekdayOf(d)).toBe(((date.getUTCDay() + 6) % 7) + 1);
      }),
    );
  });

  it('add months as date-fns does', () => {
    fc.assert(
      fc.property(days, fc.integer({ min: -400, max: 400 }), (d, months) => {
        const expected = addMonths(local(d), months);
        expect(plusMonths(d, months) - d).toBe(differenceInCalendarDays(expected, local(d)));
        expect(getISODay(local(d))).toBe(weekdayOf(d));
      }),
    );
  });

  it('stay inside the month: 31 January plus one month', () => {
    expect(isoOf(plusMonths(day('2026-01-31'), 1))).toBe('2026-02-28');
    expect(isoOf(plusMonths(day('2028-01-31'), 1))).toBe('2028-02-29');
    expect(isoOf(plusMonths(day('2028-02-29'), -12))).toBe('2027-02-28');
  });

  it('know the ends of their month', () => {
    fc.assert(
      fc.property(days, (d) => {
        expect(civilOf(startOfMonth(d)).day).toBe(1);
        expect(endOfMonth(d) - d).toBe(differenceInCalendarDays(lastDayOfMonth(local(d)), local(d)));
      }),
    );
  });

  it('count whole months', () => {
    expect(monthsBetween(day('2026-01-31'), day('2026-02-28'))).toBe(1);
    expect(monthsBetween(day('2026-01-15'), day('2026-03-14'))).toBe(1);
    expect(monthsBetween(day('2026-03-14'), day('2026-01-15'))).toBe(-1);
  });

  it('find the next weekday, never the same day', () => {
    expect(isoOf(nextWeekday(day('2026-03-03'), 2))).toBe('2026-03-10');
    expect(isoOf(nextWeekday(day('2026-03-03'), 3))).toBe('2026-03-04');
    expect(isoOf(nextWeekday(day('2026-03-03'), 1))).toBe('2026-03-09');
  });
});

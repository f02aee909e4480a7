import { TZDate } from '@date-fns/tz';
import {
  addBusinessDays,
  addDays,
  addMonths,
  addWeeks,
  addYears,
  endOfMonth as dfEndOfMonth,
  nextDay,
  startOfMonth as dfStartOfMonth,
  subMonths,
  type Day as Weekday,
} from 'date-fns';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fillSample } from '../fill/test/fillSample';
import { isoOf, readDay } from './civil';

/** Noon in the test run's own zone: far from any clock change. */
const noon = (iso: string) => new Date(`${iso}T12:00:00`);
const iso = (date: Date) =>
  `${String(date.getFullYear()).padStart(4, '0')}-${String(date.getMonth() + 1).padStart(2, '0')}-${String(date.getDate()).padStart(2, '0')}`;

const days = fc.integer({ min: readDay('1900-01-01')!, max: readDay('2199-12-31')! }).map(isoOf);
const counts = fc.integer({ min: 0, max: 800 });

/** What the language says a date is after a step, without any holidays. */
const stepped = (day: string, step: string) => {
  const invoices = [
    { key: 'K-101', number: 'K-101', client: 'c1', status: 'sent', issued_on: '2026-01-01', due_on: day },
  ];
  return fillSample(`{{invoice.due_on | ${step} | iso}}`, {
    records: { invoices },
    business: { holidays: [] },
  }).text.trim();
};

describe('dates move as date-fns moves them', () => {
  it.each<[string, (date: Date, count: number) => Date]>([
    ['plus N days', addDays],
    ['plus N weeks', addWeeks],
    ['plus N months', addMonths],
    ['plus N years', addYears],
    ['minus N months', subMonths],
    ['plus N working days', addBusinessDays],
  ])('%s', (step, move) => {
    fc.assert(
      fc.property(days, step.includes('years') ? fc.integer({ min: 0, max: 90 }) : counts, (day, count) => {
        expect(stepped(day, step.replace('N', String(count)))).toBe(iso(move(noon(day), count)));
      }),
      { numRuns: 120 },
    );
  });

  it('start and end of month, next Monday to Sunday', () => {
    fc.assert(
      fc.property(
        days,
        fc.constantFrom('Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'),
        (day, name) => {
          const weekday = [
            'Sunday',
            'Monday',
            'Tuesday',
            'Wednesday',
            'Thursday',
            'Friday',
            'Saturday',
          ].indexOf(name) as Weekday;
          expect(stepped(day, 'start of month')).toBe(iso(dfStartOfMonth(noon(day))));
          expect(stepped(day, 'end of month')).toBe(iso(dfEndOfMonth(noon(day))));
          expect(stepped(day, `next ${name}`)).toBe(iso(nextDay(noon(day), weekday)));
        },
      ),
      { numRuns: 150 },
    );
  });
});

describe('moments keep their wall clock as date-fns keeps it in a zone', () => {
  const ZONES = [
    'Europe/London',
    'Europe/Berlin',
    'America/New_York',
    'Australia/Lord_Howe',
    'Pacific/Apia',
    'Asia/Kolkata',
  ];

  it.each(ZONES)('%s', (time_zone) => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('2000-01-01'), max: new Date('2037-12-31'), noInvalidDate: true }),
        fc.constantFrom<[string, (date: Date, count: number) => Date]>(
          ['days', addDays],
          ['weeks', addWeeks],
          ['months', addMonths],
          ['years', addYears],
        ),
        fc.integer({ min: 0, max: 40 }),
        (date, [unit, move], count) => {
          const starts_at = new Date(Math.floor(date.getTime() / 60_000) * 60_000).toISOString();
          const bookings = [{ key: 'b1', client: 'c1', status: 'confirmed', starts_at }];
          const { text } = fillSample(`{{booking.starts_at | plus ${count} ${unit} | iso}}`, {
            from: 'booking:b1',
            records: { bookings },
            business: { time_zone },
          });
          const moved = move(new TZDate(starts_at, time_zone), count);
          expect(Date.parse(text.trim()), `${starts_at} plus ${count} ${unit}`).toBe(moved.getTime());
        },
      ),
      { numRuns: 150 },
    );
  });
});

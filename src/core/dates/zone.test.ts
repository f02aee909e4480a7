import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isoOf, readDay } from './civil';
import { dayAt, isoMoment, isTimeZone, momentOf, offsetAt, readMoment, wallClockOf } from './zone';

const HOUR = 3_600_000;
const at = (iso: string) => readMoment(iso)!;

/** "GMT-03:30", as milliseconds */
function named(zone: string, moment: number): number {
  const format = new Intl.DateTimeFormat('en-US', { timeZone: zone, timeZoneName: 'longOffset' });
  const name = format.formatToParts(moment).find(({ type }) => type === 'timeZoneName')!.value;
  const [, sign, hours, minutes] = /^GMT(?:([+-])(\d{2}):(\d{2}))?$/.exec(name)!;
  return sign ? (sign === '-' ? -1 : 1) * (Number(hours) * 60 + Number(minutes)) * 60_000 : 0;
}

/** The first minute within a year at which the zone's offset is another one; the moment itself where there is none. */
function nextChange(zone: string, moment: number): number {
  const minute = 60_000;
  let low = Math.floor(moment / minute);
  const was = named(zone, low * minute);
  const weeks = Array.from({ length: 52 }, (_, i) => low + i * 7 * 24 * 60);
  let high = weeks.find((one) => named(zone, one * minute) !== was);
  if (high === undefined) return moment;
  while (high - low > 1) {
    const middle: number = (low + high) >> 1;
    if (named(zone, middle * minute) === was) low = middle;
    else high = middle;
  }
  return high * minute;
}

describe('moments', () => {
  it.each([
    '2026-03-03T09:30:00Z',
    '2026-03-03T09:30Z',
    '2026-03-03T09:30:00.250+01:00',
    '2026-03-03T09:30:59.5-03:30',
    '2026-03-03T23:59:59.9999999999Z',
  ])('%s is one', (text) => expect(readMoment(text)).toBe(Date.parse(text)));

  it.each(['2026-03-03', '2026-03-03T09:30', '2026-02-30T10:00:00Z', '2026-03-03T25:00:00Z', 'now'])(
    '%s is none',
    (text) => expect(readMoment(text)).toBeUndefined(),
  );

  it('keep the last day of a month near midnight in another offset', () => {
    expect(readMoment('2026-02-28T23:30:00-05:00')).toBe(Date.parse('2026-02-28T23:30:00-05:00'));
  });

  it('show the wall clock of the zone, summer and winter', () => {
    expect(offsetAt(at('2026-01-15T12:00:00Z'), 'Europe/London')).toBe(0);
    expect(offsetAt(at('2026-07-15T12:00:00Z'), 'Europe/London')).toBe(HOUR);
    const { day, time } = wallClockOf(at('2026-07-15T23:30:00Z'), 'Europe/London');
    expect([isoOf(day), time / HOUR]).toEqual(['2026-07-16', 0.5]);
    expect(dayAt(at('2026-07-15T23:30:00Z'), 'Europe/London')).toBe(day);
    expect(isoOf(dayAt(at('2026-01-15T23:30:00Z'), 'Europe/London'))).toBe('2026-01-15');
  });

  it('have the offset that the platform names, on any day and around a change of the clocks', () => {
    const zones = [
      'Europe/London',
      'Europe/Berlin',
      'America/St_Johns',
      'Australia/Lord_Howe',
      'Africa/Casablanca',
      'Asia/Kathmandu',
    ];
    const span = [Date.parse('1990-01-01'), Date.parse('2040-01-01')] as const;
    fc.assert(
      fc.property(
        fc.constantFrom(...zones),
        fc.integer({ min: span[0], max: span[1] }),
        fc.boolean(),
        (zone, moment, near) => {
          const changed = near ? nextChange(zone, moment) : moment;
          for (const one of near ? [changed - 1, changed] : [moment]) {
            expect(offsetAt(one, zone)).toBe(named(zone, one));
          }
        },
      ),
      { numRuns: 200, seed: 20261125 },
    );
  });

  it('are written with the zone’s offset', () => {
    expect(isoMoment(at('2026-07-15T08:30:00Z'), 'Europe/London')).toBe('2026-07-15T09:30:00+01:00');
    expect(isoMoment(at('2026-01-15T08:30:00Z'), 'America/St_Johns')).toBe('2026-01-15T05:00:00-03:30');
  });

  it('come back from their wall clock', () => {
    for (const iso of [
      '2026-03-29T00:59:00Z',
      '2026-03-29T01:00:00Z',
      '2026-10-25T02:00:00Z',
      '2026-12-31T23:59:00Z',
    ]) {
      expect(momentOf(wallClockOf(at(iso), 'Europe/London'), 'Europe/London')).toBe(at(iso));
    }
  });

  it('after a gap lie as far behind it as the reading was inside', () => {
    // London, 29 March 2026: 01:00 becomes 02:00.
    const moment = momentOf({ day: readDay('2026-03-29')!, time: 1.5 * HOUR }, 'Europe/London');
    expect(isoMoment(moment, 'Europe/London')).toBe('2026-03-29T02:30:00+01:00');
  });

  it('take the first of a time that occurs twice', () => {
    // London, 25 October 2026: 02:00 becomes 01:00.
    const moment = momentOf({ day: readDay('2026-10-25')!, time: 1.5 * HOUR }, 'Europe/London');
    expect(isoMoment(moment, 'Europe/London')).toBe('2026-10-25T01:30:00+01:00');
  });

  it('know which zones there are', () => {
    expect(isTimeZone('Europe/London')).toBe(true);
    expect(isTimeZone('Overstrand/Saltby')).toBe(false);
  });
});

import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { isoOf, readDay } from '../../dates/civil';
import { repeatedDays, type Repeating } from './repeatedDays';

const PLAIN: Repeating = {
  freq: 'DAILY',
  interval: 1,
  byDay: [],
  byMonthDay: [],
  byMonth: [],
  bySetPos: [],
  weekStart: 1,
};
const day = (iso: string) => readDay(iso)!;
const days = (rule: Partial<Repeating>, first: string, from = first, to = '2027-12-31') =>
  repeatedDays({ ...PLAIN, ...rule }, day(first), day(from), day(to)).map(isoOf);

/** The same as another implementation of RFC 5545 has it. */
function others(rule: string, first: string, to: string): string[] {
  const iterator = ICAL.Recur.fromString(rule).iterator(ICAL.Time.fromDateString(first));
  const found: string[] = [];
  for (let next = iterator.next(); next; next = iterator.next()) {
    if (next.toString() > to) break;
    found.push(next.toString());
  }
  return found;
}

describe('what repeats', () => {
  const MO = { weekday: 1 };
  const cases: [string, Partial<Repeating>][] = [
    ['FREQ=DAILY;INTERVAL=3', { interval: 3 }],
    ['FREQ=DAILY;COUNT=5', { count: 5 }],
    ['FREQ=WEEKLY', { freq: 'WEEKLY' }],
    ['FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,TH', { freq: 'WEEKLY', interval: 2, byDay: [MO, { weekday: 4 }] }],
    [
      'FREQ=WEEKLY;INTERVAL=2;BYDAY=SU,MO;WKST=SU',
      { freq: 'WEEKLY', interval: 2, byDay: [{ weekday: 7 }, MO], weekStart: 7 },
    ],
    ['FREQ=MONTHLY', { freq: 'MONTHLY' }],
    ['FREQ=MONTHLY;BYMONTHDAY=-1', { freq: 'MONTHLY', byMonthDay: [-1] }],
    ['FREQ=MONTHLY;BYDAY=2MO', { freq: 'MONTHLY', byDay: [{ weekday: 1, nth: 2 }] }],
    [
      'FREQ=MONTHLY;BYDAY=-1FR;INTERVAL=2',
      { freq: 'MONTHLY', interval: 2, byDay: [{ weekday: 5, nth: -1 }] },
    ],
    [
      'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1',
      { freq: 'MONTHLY', byDay: [1, 2, 3, 4, 5].map((weekday) => ({ weekday })), bySetPos: [-1] },
    ],
    ['FREQ=YEARLY', { freq: 'YEARLY' }],
    ['FREQ=YEARLY;BYMONTH=3,10;BYMONTHDAY=1', { freq: 'YEARLY', byMonth: [3, 10], byMonthDay: [1] }],
    ['FREQ=YEARLY;BYMONTH=11;BYDAY=4TH', { freq: 'YEARLY', byMonth: [11], byDay: [{ weekday: 4, nth: 4 }] }],
    ['FREQ=YEARLY;INTERVAL=2;COUNT=3', { freq: 'YEARLY', interval: 2, count: 3 }],
  ];
  it.each(cases)('%s is what another implementation finds', (text, rule) => {
    // It makes 1 March of a 29 February that is not there; such a day is left out (RFC 5545, 3.3.10).
    const firsts = [
      '2026-01-31',
      '2026-03-02',
      ...(rule.freq === 'YEARLY' && !rule.byMonth ? [] : ['2024-02-29']),
    ];
    for (const first of firsts) {
      const wanted = others(text, first, '2029-12-31');
      const mine = repeatedDays({ ...PLAIN, ...rule }, day(first), day(first), day('2029-12-31')).map(isoOf);
      // That the first day belongs to it though the rule does not name it is up to who asks.
      expect(mine.filter((one) => one !== first)).toEqual(wanted.filter((one) => one !== first));
    }
  });

  it('from a day on: what is counted is counted from the first', () => {
    expect(days({ freq: 'WEEKLY', count: 10 }, '2026-01-05', '2026-02-23')).toEqual([
      '2026-02-23',
      '2026-03-02',
      '2026-03-09',
    ]);
    expect(days({ freq: 'WEEKLY', until: day('2026-03-01') }, '2026-01-05', '2026-02-16')).toEqual([
      '2026-02-16',
      '2026-02-23',
    ]);
  });

  it('a day that a year does not have is left out', () => {
    expect(days({ freq: 'YEARLY' }, '2024-02-29', '2024-02-29', '2032-12-31')).toEqual([
      '2024-02-29',
      '2028-02-29',
      '2032-02-29',
    ]);
  });

  it('what never comes true ends', () => {
    expect(days({ byMonth: [2], byMonthDay: [30] }, '2026-01-15', '2026-01-15', '2027-12-31')).toEqual([]);
    expect(days({ interval: 999_999_999 }, '2026-01-15')).toEqual(['2026-01-15']);
    expect(days({ count: 100_000_000 }, '1900-01-01', '2026-01-01', '2026-01-03')).toEqual([]);
  });
});

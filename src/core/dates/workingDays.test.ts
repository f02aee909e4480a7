import { describe, expect, it } from 'vitest';
import { isoOf, readDay } from './civil';
import { plusWorkingDays } from './workingDays';

const day = (iso: string) => readDay(iso)!;
const week = {
  weekdays: new Set([1, 2, 3, 4, 5]),
  holidays: new Set([day('2026-12-25'), day('2026-12-28')]),
};
const plus = (iso: string, count: number) => isoOf(plusWorkingDays(day(iso), count, week)!);

describe('working days', () => {
  it('skip the weekend', () => expect(plus('2026-03-06', 1)).toBe('2026-03-09'));
  it('go backwards', () => expect(plus('2026-03-09', -2)).toBe('2026-03-05'));
  it('skip holidays', () => expect(plus('2026-12-24', 1)).toBe('2026-12-29'));
  it('count from a day off', () => expect(plus('2026-03-07', 1)).toBe('2026-03-09'));
  it('leave the day where it is for none', () => expect(plus('2026-03-07', 0)).toBe('2026-03-07'));
  it('are none where nobody ever works', () =>
    expect(
      plusWorkingDays(day('2026-03-07'), 1, { weekdays: new Set(), holidays: new Set() }),
    ).toBeUndefined());
});

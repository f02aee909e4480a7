import { expect, it } from 'vitest';
import { layPlan } from './layPlan';
import { minutesBetween, plusMinutes } from './wallClock';

it('a plan comes to the whole, to the penny, on its days', () => {
  const thirds = [
    { share: 33, days: 0 },
    { share: 33, days: 30 },
    { share: 34, days: 60 },
  ];
  expect(layPlan(thirds, 10_001, '2026-01-31')).toEqual([
    { due_on: '2026-01-31', amount: 3300 },
    { due_on: '2026-03-02', amount: 3300 },
    { due_on: '2026-04-01', amount: 3401 },
  ]);
  for (const total of [1, 99, 12_345, 999_999_999])
    expect(layPlan(thirds, total, '2026-01-31').reduce((all, { amount }) => all + amount, 0)).toBe(total);
  expect(layPlan(thirds, 100, 'soon')).toEqual([]);
});

it('a length is laid from one time of the wall to another, over midnight and the end of a month', () => {
  expect(plusMinutes('2026-02-28T23:30', 90)).toBe('2026-03-01T01:00');
  expect(plusMinutes('', 90)).toBe('');
  expect(minutesBetween('2026-02-28T23:30', '2026-03-01T01:00')).toBe(90);
  expect(minutesBetween('2026-02-28T23:30', 'later')).toBeUndefined();
});

import { expect, it } from 'vitest';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { changeBooking } from './changeBooking';
import { freeDaysNear } from './freeDays';
import { recordFacts } from './keepRecord';

process.env.FAIRQUILL_NOW = '2026-11-25T09:00:00Z';
demonstrationDatabase();

/** A Tuesday far ahead, where only what is moved there is. */
const DAY = '2027-06-15';

const daysOf = async (days: readonly string[]) => {
  const { days: asked, nearest } = await freeDaysNear(imke, days);
  return [asked.map(({ free }) => free), nearest.map(({ day }) => day)];
};

it('the nearest days that are free are offered where one that is asked for is not', async () => {
  expect(await daysOf([DAY])).toEqual([[true], []]);
  const { version } = (await recordFacts(imke, 'booking', 'b-hartigan'))!;
  const moved = { starts_at: `${DAY}T09:30:00Z`, ends_at: `${DAY}T11:00:00Z`, status: undefined };
  await changeBooking(imke, 'b-hartigan', { version, ...moved });
  // Neither the Sunday before nor what is asked for already.
  expect(await daysOf([DAY])).toEqual([[false], ['2027-06-14', '2027-06-16', '2027-06-17']]);
  expect(await daysOf([DAY, '2027-06-16'])).toEqual([
    [false, true],
    ['2027-06-14', '2027-06-17', '2027-06-18'],
  ]);
});

it('a day off is not free, and nothing that is past is offered', async () => {
  const [asked, nearest] = await daysOf(['2027-06-13']);
  expect(asked).toEqual([false]);
  expect(nearest).not.toContain('2027-06-12');
  const past = await daysOf(['2026-11-22']);
  for (const day of past[1] as string[]) expect(day > '2026-11-25').toBe(true);
  expect(await daysOf([])).toEqual([[], []]);
  expect(await daysOf(['no day'])).toEqual([[], []]);
});

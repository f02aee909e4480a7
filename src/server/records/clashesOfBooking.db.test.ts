import { expect, it } from 'vitest';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { calendar } from './calendar';
import { changeBooking } from './changeBooking';
import { clashesOfBooking } from './clashesOfBooking';
import { freeDays } from './freeDays';
import { recordFacts } from './keepRecord';

demonstrationDatabase();

/** Far ahead, where only what is moved there is. */
const DAY = '2027-06-15';

const words = async (more: object) =>
  (
    await clashesOfBooking(imke, {
      client: 'reyes',
      items: [],
      starts_at: `${DAY}T09:00:00Z`,
      ends_at: `${DAY}T10:00:00Z`,
      ...more,
    })
  ).map(({ words: one }) => one);

async function moveTo(starts_at: string, ends_at: string): Promise<void> {
  const { version } = (await recordFacts(imke, 'booking', 'b-hartigan'))!;
  expect(await changeBooking(imke, 'b-hartigan', { version, status: undefined, starts_at, ends_at })).toBe(
    true,
  );
}

it('what is booked at the time, by whom and for how long, and nothing of itself', async () => {
  await moveTo(`${DAY}T09:30:00Z`, `${DAY}T11:00:00Z`);
  const then = 'Oda Hartigan, tuning visit, 10:30 to 12:00';
  expect(await words({ member: 'teo' })).toEqual([`Teo is booked then: ${then}.`]);
  expect(await words({})).toEqual([`At that time there is: ${then} (Teo).`]);
  expect(await words({ member: 'imke' })).toEqual([]);
  expect(await words({ member: 'teo', booking: 'b-hartigan' })).toEqual([]);
  expect(await words({ client: 'hartigan', member: 'imke', items: ['hartigan-upright'] })).toEqual([
    `It is worked on then already: ${then}.`,
  ]);
  expect(await words({ member: 'teo', starts_at: `${DAY}T11:10:00Z`, ends_at: `${DAY}T12:00:00Z` })).toEqual([
    `Teo has 10 minutes for the way: ${then}.`,
  ]);
});

it('what lasts for days stands in the way on each of them', async () => {
  await moveTo('2027-06-07T08:00:00Z', '2027-06-18T16:00:00Z');
  expect(await words({ member: 'teo' })).toEqual([
    'Teo is booked then: Oda Hartigan, tuning visit, 7 June to 18 June.',
  ]);
  const [day] = (await freeDays(imke, [DAY])).days;
  expect(day).toMatchObject({
    free: true,
    words: 'Tuesday 15 June: 1 visit, room for Imke all day',
  });
  const week = await calendar(imke, 'week', DAY);
  expect(week.whole.map(({ day: at, key }) => [at, key])).toEqual(
    [0, 1, 2, 3].map((at) => [at, 'b-hartigan']),
  );
  // Its last day has an end.
  expect(week.pieces).toMatchObject([{ day: 4, from: 0, until: 17 * 60 }]);
});

it('what was cancelled stands in nobody’s way', async () => {
  const { version } = (await recordFacts(imke, 'booking', 'b-hartigan'))!;
  await changeBooking(imke, 'b-hartigan', {
    version,
    status: 'cancelled',
    starts_at: undefined,
    ends_at: undefined,
  });
  expect(await words({ member: 'teo' })).toEqual([]);
  expect((await freeDays(imke, [DAY, 'no day'])).days).toMatchObject([
    { free: true, words: 'Tuesday 15 June: free' },
  ]);
});

it('a day off and a day that is past are told', async () => {
  const [off] = await words({ starts_at: '2027-06-13T09:00:00Z', ends_at: '2027-06-13T10:00:00Z' });
  expect(off).toBe('Sunday, 13 June 2027 is a day off.');
  const past = await words({ starts_at: '2020-06-15T09:00:00Z', ends_at: '2020-06-15T10:00:00Z' });
  expect(past).toContain('Monday, 15 June 2020 is past.');
});

it('a change by whoever has not seen the last one is refused', async () => {
  expect(
    await changeBooking(imke, 'b01', {
      version: 99,
      status: 'done',
      starts_at: undefined,
      ends_at: undefined,
    }),
  ).toBe(false);
});

it('a month is whole weeks, from the first day of the week of the business’s country', async () => {
  const { days, title, before, after } = await calendar(imke, 'month', '2027-02-10');
  expect([days.length, days[0]!.day, days.at(-1)!.day]).toEqual([28, '2027-02-01', '2027-02-28']);
  expect([title, before, after]).toEqual(['February 2027', '2027-01-01', '2027-03-01']);
  expect((await calendar(imke, 'week', '2027-02-10')).days.map(({ short }) => short)[0]).toBe('Mon 8');
  expect((await calendar(imke, 'day', 'no day')).day).toBe((await calendar(imke, 'day', undefined)).today);
});

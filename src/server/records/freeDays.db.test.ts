import { expect, it } from 'vitest';
import { connection } from '../connection';
import { holdDays } from '../letters/holdDays';
import { sendLetter } from '../sending/sendLetter';
import { takeBackLetter } from '../sending/takeBackLetter';
import { written } from '../sending/test/written';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { changeBooking } from './changeBooking';
import { clashesOfBooking } from './clashesOfBooking';
import { freeDays, freeDaysNear, takenDays } from './freeDays';
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

/** The enquiry of the day, and another of the demonstration. */
const [ASKING, OTHER] = ['e3', 'e1'];
const OFFERED = ['2026-12-07', '2026-12-08'];

/** Sends the letter that offers two days. */
async function offer(choices = {}) {
  const answers = { 'First day': OFFERED[0]!, 'Second day': OFFERED[1]! };
  const letter = await written({
    start: { kind: 'enquiry', key: ASKING! },
    choices: { template: 'free-days', answers, ...choices },
  });
  const stops = await sendLetter(imke, letter);
  // What only the server sees is let stand, too.
  const stets = [...letter.choices.stets!, ...OFFERED.map((day) => `taken ${day}`)];
  if (stops.result === 'stopped')
    expect(await sendLetter(imke, { ...letter, choices: { ...letter.choices, stets } })).toMatchObject({
      result: 'going',
    });
  return letter.id;
}

const heldFor = async (enquiry?: string) =>
  (await freeDays(imke, OFFERED, enquiry)).map(({ held, words, free }) => [
    held.map((one) => one.words),
    words.split(': ')[1]!.includes('held'),
    free,
  ]);

it('days that a letter offers are held for its reader, until the day that it names', async () => {
  const before = await freeDays(imke, OFFERED);
  const letter = await offer();
  // Three working days from Wednesday, 25 November.
  const words = `Held for ${await nameOf(ASKING!)} until Monday 30 November`;
  const isFree = before.map(({ free }) => free);
  expect(await heldFor(OTHER)).toEqual([
    [[words], true, false],
    [[words], true, false],
  ]);
  // For whom they are held they are as free as they were.
  expect(await heldFor(ASKING)).toEqual(isFree.map((free) => [[words], false, free]));
  expect((await freeDays(imke, [], ASKING)).map(({ day }) => day)).toEqual(OFFERED);
  expect(await freeDays(imke, [], OTHER)).toEqual([]);
  const { business_id } = imke;
  expect((await takenDays(business_id, OFFERED, OTHER)).map(({ day }) => day)).toEqual(OFFERED);

  // Whoever books that day for somebody else is told.
  const visit = { items: [], starts_at: `${OFFERED[0]}T14:00:00Z`, ends_at: `${OFFERED[0]}T15:00:00Z` };
  const told = async (client: string) =>
    (await clashesOfBooking(imke, { ...visit, client, member: 'runa' })).map((clash) => clash.words);
  expect(await told('hartigan')).toContain(`${words}.`);
  expect(await told('fenwick')).not.toContain(`${words}.`);

  expect(await holdDays(imke, letter, false)).toBe(true);
  expect(await heldFor(OTHER)).toEqual(isFree.map((free) => [[], false, free]));
  expect(await holdDays(imke, letter, true)).toBe(true);
  expect((await heldFor(OTHER))[0]![0]).toEqual([words]);

  // Nothing is held longer than was said, nor by a letter that was taken back.
  process.env.FAIRQUILL_NOW = '2026-12-01T00:30:00Z';
  expect((await heldFor(OTHER))[0]![0]).toEqual([]);
  process.env.FAIRQUILL_NOW = '2026-11-25T09:00:00Z';
  await takeBackLetter(imke, letter);
  expect((await heldFor(OTHER))[0]![0]).toEqual([]);
});

it('nothing is held that its writer does not want held, nor by a letter of others', async () => {
  const letter = await offer({ notHeld: true });
  expect((await heldFor(OTHER))[0]![0]).toEqual([]);
  expect(await holdDays(imke, letter, true)).toBe(false);
});

it('what an enquiry asked for is held no longer once it became work', async () => {
  await offer();
  expect((await heldFor(OTHER))[0]![0]).toHaveLength(1);
  const { version } = (await recordFacts(imke, 'enquiry', ASKING!))!;
  expect(version).toBeGreaterThan(0);
  await connection().inBusiness(imke.business_id, () =>
    connection().models.enquiry.update({ status: 'became work' }, { where: { key: ASKING! } }),
  );
  expect((await heldFor(OTHER))[0]![0]).toEqual([]);
});

async function nameOf(enquiry: string): Promise<string> {
  const found = await connection().inBusiness(imke.business_id, () =>
    connection().models.enquiry.findOne({ where: { key: enquiry } }),
  );
  return (found as unknown as { name: string }).name;
}

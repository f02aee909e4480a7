import { expect, it } from 'vitest';
import { stableId } from '../../data/stableId';
import { WritingDesk } from '../../core/writing/writingDesk';
import { connection } from '../connection';
import { holdDays } from '../letters/holdDays';
import { sendLetter } from '../sending/sendLetter';
import { takeBackLetter } from '../sending/takeBackLetter';
import { written } from '../sending/test/written';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { factsForWriting } from '../writing/factsForWriting';
import { calendar } from './calendar';
import { clashesOfBooking } from './clashesOfBooking';
import { freeDays, takenDays } from './freeDays';
import { recordFacts } from './keepRecord';

process.env.FAIRQUILL_NOW = '2026-11-25T09:00:00Z';
demonstrationDatabase();

/** A Tuesday far ahead, where only what is moved there is. */
const DAY = '2027-06-15';

const daysOf = async (days: readonly string[]) => {
  const { days: asked, nearest } = await freeDays(imke, days, { near: true });
  return [asked.map(({ free }) => free), nearest.map(({ day }) => day)];
};

/** Changes a visit, and whose it is, past all that is asked of who does it by hand. */
const moved = (key: string, facts: Record<string, unknown>) =>
  connection().inBusiness(imke.business_id, () =>
    connection().models.booking.update(facts, { where: { business_id: imke.business_id, key } }),
  );
const hours = (from: string, until: string) => ({
  starts_at: new Date(`${DAY}T${from}+01:00`),
  ends_at: new Date(`${DAY}T${until}+01:00`),
});
const wordsOf = async (by = {}) => (await freeDays(imke, [DAY], by)).days[0]!.words;

it('the nearest days that are free are offered where one that is asked for is not', async () => {
  expect(await daysOf([DAY])).toEqual([[true], []]);
  // Nobody’s yet: it may be anybody’s.
  await moved('b-hartigan', { ...hours('08:30', '17:30'), member_id: null });
  expect(await wordsOf()).toBe('Tuesday 15 June: 1 visit, no room');
  // Neither the Sunday before nor what is asked for already.
  expect(await daysOf([DAY])).toEqual([[false], ['2027-06-14', '2027-06-16', '2027-06-17']]);
  expect(await daysOf([DAY, '2027-06-16'])).toEqual([
    [false, true],
    ['2027-06-14', '2027-06-17', '2027-06-18'],
  ]);
});

it('a day has room for whoever has time for the service, with the way there and back', async () => {
  const teo = stableId('member', 'teo');
  await moved('b-hartigan', { ...hours('10:30', '12:00'), member_id: teo });
  // 20 minutes from one client to the next.
  expect(await wordsOf()).toBe(
    'Tuesday 15 June: 1 visit, room for Imke all day; for Teo until 10:10 and from 12:20',
  );
  await moved('b-reyes', { ...hours('14:00', '16:30'), member_id: teo });
  const teos = async (service: string) => (await wordsOf({ service })).replace(/.*for Teo /, '');
  expect(await teos('anything')).toBe('until 10:10, 12:20 to 13:40 and from 16:50');
  expect(await teos('Tuning Visit')).toBe('until 10:10');
  expect(await wordsOf({ service: 'piano move' })).toContain('for Teo until 10:10');
  // Who has done no visit within the year does none.
  expect(await wordsOf()).not.toContain('Runa');
});

it('the working day is as long as the business says', async () => {
  await connection().inBusiness(imke.business_id, () =>
    connection().models.work_ways.update({ day_from: '10:00', day_until: '12:30' }, { where: {} }),
  );
  expect(await wordsOf()).toBe('Tuesday 15 June: 2 visits, room for Imke all day');
  const { hours: shown } = await calendar(imke, 'day', '2027-06-16');
  expect(shown).toMatchObject({ from: 10, until: 13 });
  await connection().inBusiness(imke.business_id, () =>
    connection().models.work_ways.update({ day_from: '08:00', day_until: '18:00' }, { where: {} }),
  );
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
  (await freeDays(imke, OFFERED, { enquiry })).days.map(({ held, words, free }) => [
    held.map((one) => one.words),
    words.split(': ')[1]!.includes('held'),
    free,
  ]);

it('days that a letter offers are held for its reader, until the day that it names', async () => {
  const { days: before } = await freeDays(imke, OFFERED);
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
  expect((await freeDays(imke, [], { enquiry: ASKING })).days.map(({ day }) => day)).toEqual(OFFERED);
  expect((await freeDays(imke, [], { enquiry: OTHER })).days).toEqual([]);
  const { business_id } = imke;
  expect((await takenDays(business_id, OFFERED, OTHER)).map(({ day }) => day)).toEqual(OFFERED);

  // The calendar has it, for whom and until when.
  const { days } = await calendar(imke, 'week', OFFERED[0]);
  expect(days.flatMap(({ day, held }) => held.map((one) => [day, one.words, one.enquiry]))).toEqual(
    OFFERED.map((day) => [day, words, ASKING]),
  );

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

it('who asks for days that are all taken is told so first', async () => {
  const likeliest = async () => {
    const start = { kind: 'enquiry', key: ASKING! } as const;
    const facts = (await factsForWriting(imke, start))!;
    const desk = new WritingDesk({ ...facts, ...facts.list! });
    const [first] = desk.fitting(desk.situation(start)!, []).fitting;
    return [facts.daysTaken, first!.key];
  };
  await connection().inBusiness(imke.business_id, () =>
    connection().models.enquiry.update({ status: 'waiting' }, { where: { key: ASKING! } }),
  );
  expect(await likeliest()).toEqual([false, 'thank-you-for-asking']);
  await connection().inBusiness(imke.business_id, () =>
    connection().models.enquiry.update({ wanted_on: [DAY] }, { where: { key: ASKING! } }),
  );
  await moved('b-hartigan', { ...hours('08:30', '17:30'), member_id: null });
  expect(await likeliest()).toEqual([true, 'that-day-is-taken']);
});

async function nameOf(enquiry: string): Promise<string> {
  const found = await connection().inBusiness(imke.business_id, () =>
    connection().models.enquiry.findOne({ where: { key: enquiry } }),
  );
  return (found as unknown as { name: string }).name;
}

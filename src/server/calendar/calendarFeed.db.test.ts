import { expect, it } from 'vitest';
import type { BroughtBooking, BroughtRow } from '../../core/bringing/brought';
import { openFile } from '../../core/bringing/openFile';
import { changeBooking } from '../records/changeBooking';
import { recordFacts } from '../records/keepRecord';
import { ownWays } from '../bringing/bringing';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { calendarFeed, changeCalendarFeed, ownCalendarFeed } from './calendarFeed';

demonstrationDatabase();

const read = async (text: string) =>
  openFile(new TextEncoder().encode(text), await ownWays(imke)).read() as BroughtRow<BroughtBooking>[];

it('nobody has an address of the calendar until they want one, and it can be taken away', async () => {
  expect(await ownCalendarFeed(imke)).toBeUndefined();
  await changeCalendarFeed(imke, true);
  const { token, wasRead } = (await ownCalendarFeed(imke))!;
  expect([token.length, wasRead]).toEqual([32, false]);
  expect(await calendarFeed(token)).toMatch(/^BEGIN:VCALENDAR/);
  expect(await ownCalendarFeed(imke)).toMatchObject({ wasRead: true });
  await changeCalendarFeed(imke, true);
  expect(await calendarFeed(token)).toBeUndefined();
  const { token: other } = (await ownCalendarFeed(imke))!;
  await changeCalendarFeed(imke, false);
  expect(await calendarFeed(other)).toBeUndefined();
  expect(await calendarFeed('')).toBeUndefined();
});

it('another calendar reads the visits in it, and knows a moved one by its mark', async () => {
  await changeCalendarFeed(imke, true);
  const { token } = (await ownCalendarFeed(imke))!;
  const before = await read((await calendarFeed(token))!);
  expect(before.length).toBeGreaterThan(10);
  expect(before.flatMap(({ doubts }) => doubts)).toEqual([]);
  const booking = (await recordFacts(imke, 'booking', 'b-hartigan'))!;
  const of = (rows: typeof before) => rows.find(({ facts }) => facts?.uid.startsWith('b-hartigan.'))?.facts;
  expect(Date.parse(of(before)!.starts_at)).toBe(Date.parse(booking.starts_at));
  const later = (iso: string) => new Date(Date.parse(iso) + 86_400_000).toISOString();
  await changeBooking(imke, 'b-hartigan', {
    version: booking.version,
    starts_at: later(booking.starts_at),
    ends_at: later(booking.ends_at),
  } as never);
  const text = (await calendarFeed(token))!;
  const after = of(await read(text))!;
  expect(after.uid).toBe(of(before)!.uid);
  expect(Date.parse(after.starts_at)).toBe(Date.parse(booking.starts_at) + 86_400_000);
  expect(text).toContain('SEQUENCE:1');
});

import { expect, it } from 'vitest';
import { workWaysFacts } from './workWays';

const ways = (day_from: string, day_until: string) =>
  workWaysFacts('GBP').validate({
    version: 1,
    travel_minutes: 0,
    day_from,
    day_until,
    invoice_prefix: '',
    invoice_next: 1,
    invoice_digits: 1,
    days_to_pay: 14,
    tax_rate: '0',
    services: [],
    plans: [],
  });

it.each([
  ['08:00', '18:00', '08:00', '18:00'],
  ['8', '5.30 pm', '08:00', '17:30'],
  [' 8:15 ', '12 p.m.', '08:15', '12:00'],
  ['12 am', '11:59PM', '00:00', '23:59'],
])('a working day from %s to %s', async (from, until, ...read) => {
  const { day_from, day_until } = await ways(from, until);
  expect([day_from, day_until]).toEqual(read);
});

it.each([
  ['early', '18:00', 'Write a time, as 08:00.'],
  ['', '18:00', 'Write a time, as 08:00.'],
  ['08:00', '25:00', 'Write a time, as 08:00.'],
  ['08:00', '13 pm', 'Write a time, as 08:00.'],
  ['18:00', '8', 'The day ends after it begins.'],
  ['08:00', '08:00', 'The day ends after it begins.'],
])('is none from %s to %s', async (from, until, said) => {
  await expect(ways(from, until)).rejects.toThrow(said);
});

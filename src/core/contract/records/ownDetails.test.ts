import { expect, it } from 'vitest';
import { OWN_DETAILS, type OwnDetails } from './ownDetails';
import { shownDetails } from './shownDetails';

const details: OwnDetails = {
  version: 3,
  name: 'Quay Gardens',
  phone: '01632 960100',
  address: { street: ['1 Quay', 'Back yard'], town: 'Saltby' },
  locale: 'en-GB',
  time_zone: 'Europe/London',
  currency: 'GBP',
  hour_cycle: 24,
  working_days: [1, 2, 3],
  holidays: ['2026-12-25'],
  item_label: 'garden',
  booking_label: 'visit',
};

it('what a form shows gives the same facts again', async () => {
  const typed = { ...shownDetails(details), version: 3 };
  const cast = await OWN_DETAILS.validate(typed, { abortEarly: false });
  expect(JSON.parse(JSON.stringify(cast))).toEqual(details);
  // As they cross to the server, nothing is made of them on the way.
  await OWN_DETAILS.validate(JSON.parse(JSON.stringify(cast)), { strict: true });
});

it('a site that is typed without its scheme has the usual one', () => {
  expect(OWN_DETAILS.cast({ ...details, website: ' quay.example/gardens ' }).website).toBe(
    'https://quay.example/gardens',
  );
});

it('an address without any part is none', () => {
  const { address, ...without } = details;
  expect(address).toBeDefined();
  const cast = OWN_DETAILS.cast({ ...shownDetails(without as OwnDetails), version: 3 });
  expect(cast.address).toBeUndefined();
});

it.each([
  ['name', ' ', 'Write what clients call your business.'],
  ['email', 'quay at home', 'This is no email address, as ada@house.example.'],
  ['phone', 'ring me', 'This is no telephone number.'],
  ['website', 'javascript:alert(1)', 'This is no web address, as https://house.example.'],
  ['locale', 'xx-', 'There is no such language and country, as en-GB.'],
  ['time_zone', 'Europe/Saltby', 'There is no such time zone, as Europe/London.'],
  ['currency', 'QQQ', 'There is no such currency, as GBP.'],
  ['working_days', [], 'Choose at least one day.'],
])('%s: what is wrong with it is said', async (name, value, words) => {
  await expect(OWN_DETAILS.validate({ ...details, [name]: value })).rejects.toMatchObject({
    path: name,
    message: words,
  });
});

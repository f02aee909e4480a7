import { expect, it } from 'vitest';
import type { CustomFieldData } from '../../records/recordsFile';
import { customFacts, shownCustom, type OwnFields } from './customFacts';

const field = (key: string, type: CustomFieldData['type'], choices?: string[]): CustomFieldData => ({
  record: 'item',
  key,
  label: key,
  type,
  ...(choices ? { choices } : {}),
});
const own: OwnFields = {
  fields: [
    field('maker', 'text'),
    field('story', 'long text'),
    field('pitch', 'number'),
    field('worth', 'money'),
    field('built_on', 'date'),
    field('seen_at', 'moment'),
    field('humidity', 'yes/no'),
    field('stage', 'choice', ['stripped', 'strung']),
    { ...field('key_from', 'text'), record: 'client' },
  ],
  currency: 'GBP',
  zone: 'Europe/London',
};
const custom = {
  maker: 'Tesslund',
  story: 'Two\nlines',
  pitch: 438.5,
  worth: { money: 120_050 },
  built_on: '1964-05-01',
  seen_at: '2026-07-01T09:30:00+01:00',
  humidity: false,
  stage: 'strung',
};

it('what a form shows gives the same facts again', async () => {
  const shown = shownCustom('item', custom, own);
  expect(shown).toMatchObject({
    pitch: '438.5',
    worth: '1200.50',
    seen_at: '2026-07-01T09:30',
    humidity: 'no',
  });
  const cast = await customFacts('item', own).validate(shown);
  expect(cast).toEqual(custom);
  await customFacts('item', own).validate(cast, { strict: true });
});

it('nothing typed is nothing', async () => {
  const cast = await customFacts('item', own).validate(shownCustom('item', undefined, own));
  expect(JSON.parse(JSON.stringify(cast))).toEqual({});
});

it.each([
  ['pitch', 'high', 'Write a number, as 438.5.'],
  ['worth', '12 euros', 'Write a sum, as 96 or 96.00.'],
  ['built_on', '1964-02-31', 'This is no date, as 2026-03-31.'],
  ['seen_at', 'soon', 'Write a day and a time.'],
  ['humidity', 'perhaps', 'Say yes or no.'],
  ['stage', 'sold', 'Choose one of those that there are.'],
])('%s: what is wrong with it is said', async (key, value, message) => {
  await expect(customFacts('item', own).validate({ [key]: value })).rejects.toMatchObject({
    path: key,
    message,
  });
});

it('a field that the business has not is refused', async () => {
  await expect(
    customFacts('item', own).validate({ key_from: 'the neighbour' }, { strict: true }),
  ).rejects.toThrow('This business has no such field.');
});

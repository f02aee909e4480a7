import { expect, it } from 'vitest';
import type { Find } from './find';
import { withTold } from './withTold';

const said = (path: string, says = '1 Quay') => ({ path, steps: [], says, label: path });
const find: Find = {
  ...said('client.address'),
  start: 0,
  end: 6,
  words: '1 Quay',
  certainty: 0.7,
  others: [said('booking.location'), said('business.address')],
};

it('what a field said is certain, whichever of the facts it was', () => {
  expect(withTold([find], [{ path: 'booking.location', value: '1 Quay' }])).toEqual([
    {
      ...find,
      ...said('booking.location'),
      certainty: 0.95,
      others: [said('client.address'), said('business.address')],
    },
  ]);
  expect(
    withTold([{ ...find, certainty: 0.97 }], [{ path: 'client.address', value: '1 Quay' }])[0],
  ).toMatchObject({
    path: 'client.address',
    certainty: 0.97,
  });
});

it('nothing changes where no field said so, or its field would say it otherwise', () => {
  expect(withTold([find], [{ path: 'booking.location', value: 'elsewhere' }])).toEqual([find]);
  expect(withTold([find], [{ path: 'project.title', value: '1 Quay' }])).toEqual([find]);
  const other = { ...find, others: [said('booking.location', '1 Quay, Saltby')] };
  expect(withTold([other], [{ path: 'booking.location', value: '1 Quay' }])).toEqual([other]);
});

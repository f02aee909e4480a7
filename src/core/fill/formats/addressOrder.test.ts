import { expect, it } from 'vitest';
import { addressOrder } from './addressOrder';

it('is that of the business’s country', () => {
  expect(addressOrder('en-GB')).toEqual(['street', 'town', 'region', 'postcode', 'country']);
  expect(addressOrder('de-DE').slice(0, 3)).toEqual(['street', 'postcode', 'town']);
  expect(addressOrder('en-US')).toEqual(['street', 'town', 'region', 'postcode', 'country']);
});

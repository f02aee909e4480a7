import { expect, it } from 'vitest';
import { factOf, sayFact } from './factOf';

it.each([
  ['sender.phone', 'member.phone'],
  ['project.responsible.mobile', 'member.mobile'],
  ['business.address.town', 'business.address'],
  ['links.review', 'links.review'],
  ['client.custom.key_from', 'client.custom.key_from'],
  ['booking.client.custom.member', 'client.custom.member'],
  ['client.next_booking.service', 'booking.service'],
  ['custom.maker', '?.custom.maker'],
  ['today', '?.today'],
])('%s says %s', (path, fact) => expect(factOf(path)).toBe(fact));

it('words say a field of the business’s own wherever it stands in them', () => {
  const words = [
    { when: 'client.custom.dog is yes' },
    { type: 'field', attrs: { path: 'item.custom.maker', steps: [] } },
    'by custom.year_built down',
  ];
  expect(sayFact(words, 'client.custom.dog')).toBe(true);
  expect(sayFact(words, 'item.custom.dog')).toBe(false);
  expect(sayFact(words, 'client.custom.do')).toBe(false);
  expect(sayFact(words, 'item.custom.maker')).toBe(true);
  // Inside a listing nothing tells whose it is: it may be.
  expect(sayFact(words, 'item.custom.year_built')).toBe(true);
  expect(sayFact(words, 'project.custom.year_built')).toBe(true);
});

import { expect, it } from 'vitest';
import type { ClientFacts } from '../contract/records/client';
import { differingFacts, mergeFacts } from './mergeFacts';

const oda: ClientFacts = {
  version: 3,
  kind: 'person',
  name: 'Oda Hartigan',
  preferred_name: 'Odie',
  email: 'oda@post.example',
  more_phones: [{ use: 'work', number: '01632 960155' }],
  more_addresses: [],
  tags: ['regular'],
  notes: 'A dog.',
  contacts: [],
  items: [],
  custom: { key_from: 'the neighbour' },
};
const again: ClientFacts = {
  version: 1,
  kind: 'household',
  name: 'Hartigan, Oda',
  email: 'o.hartigan@post.example',
  more_phones: [
    { use: 'work', number: '01632 960155' },
    { use: 'sister', number: '01632 960156' },
  ],
  more_addresses: [{ use: 'summer house', address: { town: 'Thornholt' } }],
  phone: '01632 960101',
  tags: ['regular', 'quay'],
  notes: 'Rings back.',
  contacts: [],
  items: [],
  custom: { key_from: 'nobody', where_to_park: 'the quay' },
};

it('what only one says is kept, and of what both say the one that stays is right', () => {
  expect(differingFacts(oda, again)).toEqual(['kind', 'name', 'email']);
  expect(mergeFacts(oda, again, [])).toEqual({
    ...oda,
    phone: '01632 960101',
    more_phones: again.more_phones,
    more_addresses: again.more_addresses,
    tags: ['regular', 'quay'],
    notes: 'A dog.\n\nRings back.',
    custom: { key_from: 'the neighbour', where_to_park: 'the quay' },
  });
});

it('what is chosen of the other is taken, a name with its parts', () => {
  const merged = mergeFacts(oda, again, ['name', 'email']);
  expect(merged).toMatchObject({ kind: 'person', name: 'Hartigan, Oda', email: 'o.hartigan@post.example' });
  // “Odie” was a part of the name that went.
  expect(merged).not.toHaveProperty('preferred_name');
});

it('the same record twice is that record', () => {
  expect(differingFacts(oda, oda)).toEqual([]);
  expect(mergeFacts(oda, oda, [])).toEqual(oda);
});

import { expect, it } from 'vitest';
import { bothChanged } from './bothChanged';

const base = { name: 'Quist', phone: '1', tags: ['a'], address: { town: 'Saltby', street: ['1 Quay'] } };

it('what one of two changed is theirs; what both changed is disputed', () => {
  const theirs = { ...base, phone: '2', name: 'Quist & Co' };
  const mine = { ...base, phone: '3', tags: ['a', 'b'] };
  expect(bothChanged(base, theirs, mine)).toEqual({
    merged: { ...base, name: 'Quist & Co', phone: '3', tags: ['a', 'b'] },
    taken: ['name'],
    disputed: ['phone'],
  });
});

it('the same change of both is none, and nothing typed is nothing', () => {
  const theirs = { name: 'Quist', phone: '2', tags: ['a'] };
  const mine = { ...base, phone: '2', address: { town: '', street: [] as string[] }, note: '' };
  const { taken, disputed } = bothChanged(base, theirs, mine);
  expect({ taken, disputed }).toEqual({ taken: [], disputed: [] });
});

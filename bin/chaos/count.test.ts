import { expect, it } from 'vitest';
import { count } from './count.mjs';

it('counts each kind of harm', () => {
  const states = new Map([
    ['a', 'sent'],
    ['b', 'sent'],
    ['c', 'sent'],
    ['d', 'taken back'],
    ['e', 'taken back'],
    ['f', 'may have arrived'],
    ['g', 'may have arrived'],
    ['h', 'going'],
  ]);
  const arrivals = ['a', 'c', 'c', 'e', 'f'].map((id) => `${id}@larkfield.example\n`).join('');
  expect(count(['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h', 'i'], states, arrivals, new Set(['d', 'e']))).toEqual(
    {
      sent: 1,
      'taken back': 1,
      flagged: 2,
      'flagged that had arrived': 1,
      lost: 2,
      doubled: 1,
      'taken back and sent': 1,
      stuck: 1,
      failed: 0,
    },
  );
});

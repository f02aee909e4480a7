import fc from 'fast-check';
import { expect, it } from 'vitest';
import { openedMark, readOpenedMark } from './openedMark';

it('a letter is known by its mark', () => {
  fc.assert(
    fc.property(fc.uuid(), fc.uuid(), (business_id, id) => {
      expect(readOpenedMark(openedMark({ business_id, id }))).toEqual({ business_id, id });
    }),
  );
});

it.each(['', 'a'.repeat(51), 'a'.repeat(53), '7'.repeat(52), '__proto__', 'a b'])('%j is none', (mark) =>
  expect(readOpenedMark(mark)).toBeUndefined(),
);

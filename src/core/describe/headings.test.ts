import { expect, it } from 'vitest';
import { RECORD_KINDS } from '../records/recordKind';
import { headingOf, HEADINGS } from './headings';

it('what heads a fact is of a fact that there is, and nothing is said that its label says', () => {
  for (const kind of RECORD_KINDS) {
    const own = HEADINGS[kind] ?? {};
    for (const [key, words] of Object.entries(own)) {
      expect(headingOf(kind, key)).toBe(words);
      expect(headingOf(kind, key, {}), `${kind}.${key}`).not.toBe(words);
    }
  }
});

it('a fact without words of its own is headed by its label', () => {
  expect(headingOf('client', 'email')).toBe('Email');
  expect(headingOf('client', 'outstanding')).toBe('Still open');
  expect(() => headingOf('client', 'nothing')).toThrow('client has no nothing');
});

import { expect, it } from 'vitest';
import type { ListedEntry } from '../contract/list';
import { narrowTemplates, templateState, templateUse } from './narrowTemplates';

const template = (key: string, more: Partial<ListedEntry> = {}): ListedEntry => ({
  key,
  name: key,
  startsFrom: 'client',
  letters: 0,
  ...more,
});
const used = (at: string) => ({ words: at, at });
const TEMPLATES = [
  template('a', { letters: 2, lastUsed: used('2026-03-01') }),
  template('b', { resting: true, passages: ['how-to-pay'] }),
  template('c', { startsFrom: 'visit', letters: 9, lastUsed: used('2026-02-01') }),
  template('d', { mine: true, unfinished: 2 }),
];

it.each([
  ['all', 'by hand', 'abcd'],
  ['resting', 'by hand', 'b'],
  ['has how-to-pay', 'by hand', 'b'],
  ['unfinished', 'by hand', 'd'],
  ['mine', 'by use', 'd'],
  ['from visit', 'by hand', 'c'],
  ['from client', 'by use', 'abd'],
  ['all', 'by last use', 'acbd'],
  ['all', 'by use', 'cabd'],
] as const)('%s, %s: %s', (narrowing, sorting, expected) => {
  expect(
    narrowTemplates(TEMPLATES, narrowing, sorting)
      .map(({ key }) => key)
      .join(''),
  ).toBe(expected);
});

it('says what is to be said', () => {
  expect(TEMPLATES.map(templateState)).toEqual([[], ['resting'], [], ['mine alone', '2 parts unfinished']]);
  expect(TEMPLATES.map(templateUse).slice(0, 2)).toEqual(['2 letters, the last 2026-03-01', 'never used']);
});

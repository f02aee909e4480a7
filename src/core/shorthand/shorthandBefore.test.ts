import { expect, it } from 'vitest';
import type { Shorthand } from '../template/template';
import { shorthandBefore, shorthandByName } from './shorthandBefore';

const one = (name: string, more: Partial<Shorthand> = {}): Shorthand => ({
  key: name,
  name,
  document: { type: 'doc', content: [] },
  ...more,
});
const ALL = shorthandByName([
  one('kr'),
  one('kr', { key: 'mine', own: true }),
  one(';dir'),
  one('(c)'),
  one('ü'),
]);

it.each([
  ['kr', '', 'mine', 2],
  ['Kr', '', 'mine', 2],
  ['so, kr', ' and', 'mine', 2],
  ['a\u00a0kr', '.', 'mine', 2],
  ['(kr', ')', 'mine', 2],
  ['“kr', '', 'mine', 2],
  ['see ;dir', '', ';dir', 4],
  ['(c)', '', '(c)', 3],
  ['((c)', '', '(c)', 3],
  ['ü', '', 'ü', 1],
])('“%s” before “%s” is %s', (text, next, key, length) => {
  const found = shorthandBefore(text, next, ALL);
  expect([found?.shorthand.key, found?.length]).toEqual([key, length]);
});

it.each([
  ['okr', ''],
  ['kr', 'ona'],
  ['kr', '1'],
  ['a.kr', ''],
  ['kr,', ''],
  ['kr ', ''],
  ['', ''],
  ['\ufffckr', ''],
])('“%s” before “%s” is none', (text, next) => expect(shorthandBefore(text, next, ALL)).toBeUndefined());

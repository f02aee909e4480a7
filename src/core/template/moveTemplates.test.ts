import { expect, it } from 'vitest';
import { moveTemplates } from './moveTemplates';

const groups = [
  { key: 'a', templates: ['1', '2', '3'] },
  { key: 'b', templates: ['4'] },
  { key: '', templates: [] },
];
const moved = (keys: string[], group: string, before?: string) =>
  moveTemplates(groups, new Set(keys), { group, ...(before === undefined ? {} : { before }) }).map(
    ({ templates }) => templates.join(''),
  );

it.each([
  [['1'], 'a', '3', ['213', '4', '']],
  [['3'], 'a', '1', ['312', '4', '']],
  [['1'], 'a', undefined, ['231', '4', '']],
  [['3', '1'], 'b', '4', ['2', '134', '']],
  [['4', '2'], '', undefined, ['13', '', '24']],
  // Before one that is moved itself: before the next that is not.
  [['1', '2'], 'a', '2', ['123', '4', '']],
  [['2', '3'], 'a', '3', ['123', '4', '']],
  [['2'], 'b', 'none', ['13', '42', '']],
])('%j into “%s” before %s', (keys, group, before, expected) => {
  expect(moved(keys, group, before)).toEqual(expected);
});

it('what stays as it is is the same', () => {
  const after = moveTemplates(groups, new Set(['2']), { group: 'a', before: '3' });
  expect(after.every((group, i) => group === groups[i])).toBe(true);
});

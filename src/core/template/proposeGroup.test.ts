import { expect, it } from 'vitest';
import { proposeGroup } from './proposeGroup';

const group = (initial: string, tint: string) => ({ initial, tint });

it.each([
  ['Money', [], 'M', 'madder'],
  ['Money', [group('M', 'madder')], 'Mo', 'ochre'],
  ['Money', [group('m', 'moss'), group('MO', 'madder')], 'Mn', 'ochre'],
  ['  “Énd” of year', [group('E', 'slate')], 'Én', 'madder'],
  ['2027', [], '2', 'madder'],
  ['MM', [group('M', 'madder'), group('Mm', 'ochre')], 'M', 'moss'],
  ['…', [], '–', 'madder'],
])('%s among %j is %s, %s', (name, others, initial, tint) => {
  expect(proposeGroup(name, others)).toEqual({ initial, tint });
});

it('every tint is used before one is used again', () => {
  const groups: { initial: string; tint: string }[] = [];
  for (const name of ['A', 'B', 'C', 'D', 'E', 'F', 'G']) groups.push(proposeGroup(name, groups));
  expect(new Set(groups.slice(0, 6).map(({ tint }) => tint)).size).toBe(6);
  expect(groups[6]!.tint).toBe('madder');
});

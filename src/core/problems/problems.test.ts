import { describe, expect, it } from 'vitest';
import { didYouMean, nearest } from './nearest';
import { byPlace, inWords, LineIndex } from './problem';

describe('the nearest name', () => {
  const names = ['number', 'issued_on', 'due_on', 'balance', 'is_overdue'];

  it.each([
    ['numbr', 'number'],
    ['nubmer', 'number'],
    ['Balance', 'balance'],
    ['balanec', 'balance'],
    ['du_on', 'due_on'],
    ['isoverdue', 'is_overdue'],
  ])('to %s is %s', (typed, expected) => expect(nearest(typed, names)).toBe(expected));

  it('is none where nothing is near', () => {
    expect(nearest('telephone', names)).toBeUndefined();
    expect(nearest('x', [])).toBeUndefined();
    expect(didYouMean('telephone', names)).toBe('');
  });

  it('is said in full', () =>
    expect(didYouMean('numbr', names, 'invoice.')).toBe(' Did you mean “invoice.number”?'));
});

describe('a place', () => {
  const lines = new LineIndex('one\ntwo 🙂 three\n\nlast', 't.md');

  it.each([
    [0, 1, 1],
    [3, 1, 4],
    [4, 2, 1],
    [10, 2, 6],
    [17, 3, 1],
    [18, 4, 1],
    [22, 4, 5],
  ])('at offset %i is line %i, column %i, in characters', (offset, line, column) => {
    expect(lines.place(offset)).toEqual({ file: 't.md', line, column });
  });

  it('does not depend on the order in which places are asked for', () => {
    expect([14, 5, 12, 4].map((offset) => lines.place(offset).column)).toEqual([10, 2, 8, 1]);
  });

  it('orders problems by file, line and column, and is written before the message', () => {
    const problem = (file: string, line: number, column: number) => ({ file, line, column, message: 'm' });
    const sorted = [problem('b', 1, 1), problem('a', 2, 1), problem('a', 1, 9), problem('a', 1, 2)].sort(
      byPlace,
    );
    expect(sorted.map(inWords)).toEqual(['a:1:2: m', 'a:1:9: m', 'a:2:1: m', 'b:1:1: m']);
  });
});

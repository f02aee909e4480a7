import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { BlankType } from '../document/templateDocument';
import { readDay } from '../dates/civil';
import { readAnswer, typedAnswer } from './blanks';

const read = (kind: string, text: string) => readAnswer(text, { kind } as BlankType, 'GBP');

describe('an answer is read as its blank’s type', () => {
  it.each([
    ['text', ' two\n lines ', 'two lines'],
    ['long text', ' two\r\nlines\n', 'two\nlines'],
    ['number', '2.5', 2.5],
    ['number', '-3', -3],
    ['money', '65', 6500],
    ['money', '£1,065.50', 106550],
    ['yes/no', 'no', false],
  ])('%s: %j', (kind, text, value) => expect(read(kind, text)).toEqual({ value }));

  it.each([
    ['number', 'three', 'a number, as 3 or 2.5'],
    ['money', '1.234', 'a sum, as 65 or 65.00'],
    ['date', '31 March', 'a date, as 2026-03-31'],
    ['date', '2026-02-30', 'a date, as 2026-03-31'],
    ['yes/no', 'maybe', 'yes or no'],
  ])('%s is not %j', (kind, text, expected) => expect(read(kind, text)).toEqual({ expected }));

  it('comes back from what would be typed for it', () => {
    const amounts = fc.integer({ min: -1e9, max: 1e9 });
    for (const currency of ['GBP', 'JPY', 'KWD']) {
      fc.assert(
        fc.property(amounts, (value) => {
          const type: BlankType = { kind: 'money' };
          expect(readAnswer(typedAnswer(value, type, currency), type, currency)).toEqual({ value });
        }),
      );
    }
    for (const [kind, raw, value] of [
      ['date', '2026-03-31', readDay('2026-03-31')],
      ['yes/no', false, false],
      ['number', 2.5, 2.5],
      ['text', 'as it is', 'as it is'],
    ] as const) {
      expect(readAnswer(typedAnswer(raw, { kind }, 'GBP'), { kind }, 'GBP')).toEqual({ value });
    }
    expect(typedAnswer(null, { kind: 'money' }, 'GBP')).toBe('');
  });

  it('a choice is one of its answers', () => {
    const size: BlankType = { kind: 'choice', of: ['small', 'large'] };
    expect(readAnswer('large', size, 'GBP')).toEqual({ value: 'large' });
    expect(readAnswer('huge', size, 'GBP')).toEqual({ expected: 'one of small, large' });
  });
});

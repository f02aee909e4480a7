import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimalString, minorDigits, readAmount } from './currency';
import { divideHalfEven, lineNet, percentOf, readDecimal } from './exact';

const decimal = (value: number | string) => readDecimal(value)!;

describe('exact sums', () => {
  it.each([
    [5n, 2n, 2n],
    [7n, 2n, 4n],
    [-5n, 2n, -2n],
    [-7n, 2n, -4n],
    [10n, 3n, 3n],
    [11n, 3n, 4n],
  ])('%s over %s is %s, half to even', (a, b, expected) => expect(divideHalfEven(a, b)).toBe(expected));

  it('lie within half of the true quotient', () => {
    fc.assert(
      fc.property(fc.bigInt(-(10n ** 15n), 10n ** 15n), fc.bigInt(1n, 10n ** 6n), (a, b) => {
        const difference = 2n * (divideHalfEven(a, b) * b - a);
        expect(difference <= b && difference >= -b).toBe(true);
      }),
    );
  });

  it('take percentages half to even', () => {
    expect(percentOf(12345, decimal(20))).toBe(2469);
    expect(percentOf(250, decimal('0.2'))).toBe(0);
    expect(percentOf(750, decimal('0.2'))).toBe(2);
    expect(percentOf(-250, decimal(1))).toBe(-2);
  });

  it('work a line out with one rounding', () => {
    expect(lineNet(decimal('1.5'), 3401, decimal(0))).toBe(5102);
    expect(lineNet(decimal('0.333'), 10000, decimal('12.5'))).toBe(2914);
    expect(lineNet(decimal('-1'), 9500, decimal(10))).toBe(-8550);
  });

  it('need no floating point: a third of a penny never leaks', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 10 ** 9 }),
        fc.integer({ min: 0, max: 100 }),
        (amount, percent) => {
          const share = percentOf(amount, decimal(percent));
          const rest = percentOf(amount, decimal(100 - percent));
          expect(Math.abs(share + rest - amount)).toBeLessThanOrEqual(1);
        },
      ),
    );
  });

  it.each(['1,5', '1e3', '', 'NaN', '--1', '.5'])('“%s” is no decimal', (text) =>
    expect(readDecimal(text)).toBeUndefined(),
  );
});

describe('amounts', () => {
  it('have the places of their currency', () => {
    expect([minorDigits('GBP'), minorDigits('JPY'), minorDigits('KWD')]).toEqual([2, 0, 3]);
    expect(decimalString(-5, 2)).toBe('-0.05');
    expect(decimalString(123450, 2)).toBe('1234.50');
    expect(decimalString(12, 0)).toBe('12');
  });

  it.each([
    ['£1,250.00', 125000],
    ['1250.5', 125050],
    ['65', 6500],
    ['GBP 65', 6500],
    ['-3.10', -310],
  ])('%s is %i', (text, amount) => expect(readAmount(text, 'GBP')).toBe(amount));

  it.each(['1.234', '12,34', 'ten', '', '9'.repeat(20)])('“%s” is none', (text) =>
    expect(readAmount(text, 'GBP')).toBeUndefined(),
  );
});

describe('a sum as it is typed', () => {
  it.each([
    ['65', 'GBP', 6500],
    ['£65', 'GBP', 6500],
    ['GBP 65.50', 'GBP', 6550],
    ['65 £', 'GBP', 6500],
    ['-£5', 'GBP', -500],
    ['−5', 'GBP', -500],
    ['£1,250.00', 'GBP', 125000],
    ['$5', 'USD', 500],
    ['US$5', 'GBP', undefined],
    ['CA$5', 'CAD', 500],
    ['€5', 'GBP', undefined],
    ['EUR 5', 'GBP', undefined],
    ['¥5', 'JPY', 5],
    ['£5 £', 'GBP', undefined],
    ['999999999', 'GBP', 99999999900],
    ['10000000000', 'GBP', undefined],
    ['12345678901234567000', 'GBP', undefined],
  ])('%s in %s is %s', (text, currency, amount) => expect(readAmount(text, currency)).toBe(amount));
});

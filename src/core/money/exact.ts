/**
 * Exact sums. Money is an integer of the currency's minor units; a quantity or percentage is a decimal, kept as
 * a fraction of integers until the one rounding that the rules allow.
 */

/** A decimal as numerator over a power of ten. */
export interface Decimal {
  units: bigint;
  scale: bigint;
}

const DECIMAL = /^-?\d+(?:\.\d+)?$/;

/** Reads a JSON number or a string as a decimal; undefined when it is none. 1e21 and "1,5" are none. */
export function readDecimal(value: number | string): Decimal | undefined {
  const text = String(value).trim();
  if (!DECIMAL.test(text)) return undefined;
  const point = text.indexOf('.');
  if (point < 0) return { units: BigInt(text), scale: 1n };
  const places = text.length - point - 1;
  return { units: BigInt(text.slice(0, point) + text.slice(point + 1)), scale: 10n ** BigInt(places) };
}

/** Divides integers and rounds half to even. The divisor must be positive. */
export function divideHalfEven(dividend: bigint, divisor: bigint): bigint {
  let quotient = dividend / divisor;
  const twice = 2n * (dividend % divisor);
  const size = twice < 0n ? -twice : twice;
  if (size > divisor || (size === divisor && quotient % 2n !== 0n)) quotient += dividend < 0n ? -1n : 1n;
  return quotient;
}

/** An amount times a percentage, half to even: 12345 and 20 give 2469. */
export function percentOf(amount: number, percent: Decimal): number {
  return Number(divideHalfEven(BigInt(amount) * percent.units, 100n * percent.scale));
}

/** quantity × unit price less discount, rounded once, half to even. */
export function lineNet(quantity: Decimal, unitPrice: number, discount: Decimal): number {
  const kept = 100n * discount.scale - discount.units;
  return Number(
    divideHalfEven(quantity.units * BigInt(unitPrice) * kept, quantity.scale * 100n * discount.scale),
  );
}

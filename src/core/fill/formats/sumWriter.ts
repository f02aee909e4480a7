import { decimalString } from '../../money/currency';

/**
 * A writer of exact decimals that reads the locale's pattern from `formatToParts` once and asks Intl no more: the same
 * words as the formatter's, many times faster. The formatter itself writes everything where its pattern is not
 * sign, grouped digits and as many decimal places.
 * @param format a formatter that always writes `places` decimal places
 * @returns writes an integer of the last place's units: 123450 with 2 places is "£1,234.50"
 */
export function sumWriter(format: Intl.NumberFormat, places: number): (units: number) => string {
  // A decimal string keeps every digit; the type lags behind the standard (ES2023).
  const plain = (units: number) => format.format(decimalString(units, places) as unknown as number);
  const pattern = patternOf(format, places);
  if (!pattern) return plain;
  const derived = writerOf(pattern, places);
  return SAMPLES.every((units) => derived(units) === plain(units))
    ? (units) => (Number.isSafeInteger(units) ? derived(units) : plain(units))
    : plain;
}

interface Pattern {
  /** before and after the digits, of sums from 0 on and of those below */
  plus: readonly [string, string];
  minus: readonly [string, string];
  group: string;
  point: string;
  /** sums with so many digits before the point are grouped, others not */
  groupedFrom: number;
  /** digits in the last group and in those before it */
  last: number;
  others: number;
}

const SAMPLES = [
  0, 1, 9, 10, 99, 100, 1234, 99_999, 123_456, 999_999, 1_234_567, 123_456_789, 9_007_199_254_740_991,
].flatMap((units) => [units, -units || 0]);

/**
 * Sums below a million are parts that number in thousands; what is larger goes digit by digit (13 % of the time for HTML
 * alone, 10 % for everything; docs/bench.md, “Fast paths”).
 */
function writerOf(pattern: Pattern, places: number): (units: number) => string {
  const { plus, minus, group, point, groupedFrom, last, others } = pattern;
  const [unit, digits, grouped] = [10 ** places, FIXED[places], 10 ** (groupedFrom - 1)];
  if (!digits || last !== 3 || (others !== 3 && others !== 0))
    return (units) => write(units, pattern, places);
  // Joined here what would be joined at every sum.
  const ends = [plus, minus].map(([, after]) =>
    digits.map((fraction) => (places ? point : '') + fraction + after),
  );
  const [endsOfPlus, endsOfMinus] = ends as [string[], string[]];
  const lastThree = THREE.map((three) => group + three);
  return (units) => {
    const below = units < 0;
    const size = below ? -units : units;
    const whole = Math.floor(size / unit);
    if (whole > 999_999) return write(units, pattern, places);
    const before = below ? minus[0] : plus[0];
    const end = (below ? endsOfMinus : endsOfPlus)[size - whole * unit]!;
    if (whole < 1000) return before + SHORT[whole]! + end;
    if (whole < grouped) return before + whole + end;
    const thousands = Math.floor(whole / 1000);
    return before + SHORT[thousands]! + lastThree[whole - thousands * 1000]! + end;
  };
}

/** Taken from here, as a number is slow to be made a text. */
const SHORT = Array.from({ length: 1000 }, (_, i) => String(i));
const THREE = SHORT.map((digits) => digits.padStart(3, '0'));
/** By decimal places, the digits after the point. */
const FIXED: readonly (readonly string[] | undefined)[] = [
  [''],
  undefined,
  THREE.slice(0, 100).map((digits) => digits.slice(1)),
  THREE,
];

function write(units: number, pattern: Pattern, places: number): string {
  const [before, after] = units < 0 ? pattern.minus : pattern.plus;
  let digits = String(units < 0 ? -units : units);
  if (digits.length <= places) digits = digits.padStart(places + 1, '0');
  const end = digits.length - places;
  let whole = places ? digits.slice(0, end) : digits;
  if (end >= pattern.groupedFrom) {
    let at = end - pattern.last;
    let grouped = whole.slice(at);
    for (; at > pattern.others; at -= pattern.others) {
      grouped = whole.slice(at - pattern.others, at) + pattern.group + grouped;
    }
    whole = whole.slice(0, at) + pattern.group + grouped;
  }
  return places ? before + whole + pattern.point + digits.slice(end) + after : before + whole + after;
}

function patternOf(format: Intl.NumberFormat, places: number): Pattern | undefined {
  const long = partsOf(format, decimalString(9_007_199_254_740_991, places));
  const below = partsOf(format, decimalString(-9_007_199_254_740_991, places));
  const groups = long.integers.map((digits) => digits.length);
  if (!long.plain || !below.plain) return undefined;
  // Some languages group four digits, others only five or more.
  const grouped = (digits: number) =>
    partsOf(format, decimalString(10 ** (digits - 1 + places), places)).integers.length > 1;
  const four = groups.at(-1)! + 1;
  const groupedFrom = groups.length < 2 ? Infinity : grouped(four) ? four : four + 1;
  return {
    plus: long.around,
    minus: below.around,
    group: long.group,
    point: long.point,
    groupedFrom,
    last: groups.at(-1)!,
    others: groups.at(-2) ?? 0,
  };
}

/** A number in parts: its integer groups, what is around the digits, and whether its digits are 0 to 9. */
function partsOf(format: Intl.NumberFormat, value: string) {
  const integers: string[] = [];
  const around: [string, string] = ['', ''];
  let [group, point, plain] = ['', '', true];
  for (const { type, value: text } of format.formatToParts(value as unknown as number)) {
    if (type === 'integer' || type === 'fraction') {
      if (!/^[0-9]+$/.test(text)) plain = false;
      if (type === 'integer') integers.push(text);
    } else if (type === 'group') group = text;
    else if (type === 'decimal') point = text;
    else around[integers.length ? 1 : 0] += text;
  }
  return { integers, around, group, point, plain };
}

import { minorDigits, readAmount } from './currency';

const points = new Map<string, string>();

/**
 * Reads a sum as programs and people of a country write it: "1.234,50 €", "£1,234.50", "1 234,50", "(12.00)" for what is owed
 * back. A single point or comma with as many figures behind it as the currency has is a decimal point; else the locale tells.
 * Gives minor units; undefined where it is no sum, or one of another currency.
 */
export function readWrittenSum(words: string, currency: string, locale: string): number | undefined {
  const bracketed = /^\((.*)\)$/.exec(words.trim());
  const text = (bracketed?.[1] ?? words)
    .trim()
    .replace(/[\s'’]/gu, '')
    .replace(/−/g, '-')
    // "96.00-", as bookkeepers write it
    .replace(/^([^-]*)-$/, '-$1');
  const figures = /[\d.,]*\d/.exec(text)?.[0];
  if (figures === undefined) return undefined;
  const point = decimalPointOf(figures, currency, locale);
  const plain = figures.replace(/[.,]/g, (mark, at: number) =>
    mark === point && at === figures.lastIndexOf(mark) ? '.' : '',
  );
  if (point && figures.split(point).length > 2) return undefined;
  const amount = readAmount(text.replace(figures, plain), currency);
  return amount !== undefined && bracketed && amount > 0 ? -amount : amount;
}

/** The mark before the decimals; undefined: there are none. */
function decimalPointOf(figures: string, currency: string, locale: string): string | undefined {
  const [dot, comma] = [figures.lastIndexOf('.'), figures.lastIndexOf(',')];
  if (dot < 0 && comma < 0) return undefined;
  if (dot >= 0 && comma >= 0) return dot > comma ? '.' : ',';
  const mark = dot >= 0 ? '.' : ',';
  const parts = figures.split(mark);
  if (parts.length > 2) return undefined;
  const behind = parts[1]!.length;
  // "1.234" is a thousand where a point parts thousands; "1.5" never is.
  if (behind !== 3 || parts[0]!.length > 3) return mark;
  if (behind === minorDigits(currency)) return mark;
  return pointOf(locale) === mark ? mark : undefined;
}

/** The mark before the decimals of a country. @param locale BCP 47 */
export function pointOf(locale: string): string {
  let point = points.get(locale);
  if (point === undefined) {
    point =
      new Intl.NumberFormat(locale).formatToParts(1.5).find(({ type }) => type === 'decimal')?.value ?? '.';
    points.set(locale, point);
  }
  return point;
}

import { escaped } from './escaped';
import { signsOf } from '../money/currency';
import { readWrittenSum } from '../money/readWrittenSum';

/** A sum as it is written in a text. */
export interface WrittenSum {
  from: number;
  to: number;
  /** minor units */
  amount: number;
}

const patterns = new Map<string, RegExp>();

/** The sums of a currency in a text: “£1,250.00”, “12,50 €”, “GBP 12”. Figures without its sign are none. */
export function sumsIn(text: string, currency: string, locale: string): WrittenSum[] {
  return [...text.matchAll(patternOf(currency))].flatMap((match) => {
    const amount = readWrittenSum(match[0], currency, locale);
    return amount === undefined ? [] : [{ from: match.index, to: match.index + match[0].length, amount }];
  });
}

/** The sums in a text whose currency is named: “78 pounds”, “12,50 Euro”. */
export function namedSumsIn(text: string, currency: string, locale: string): WrittenSum[] {
  const key = `${currency} ${locale}`;
  let pattern = named.get(key);
  if (!pattern) {
    const names = [locale, 'en'].flatMap((one) => [1, 2].map((count) => nameOf(count, currency, one)));
    pattern = new RegExp(`(?<![\\p{L}\\d.,])(\\d[\\d.,]*)\\s(?:${names.join('|')})(?!\\p{L})`, 'giu');
    named.set(key, pattern);
  }
  return [...text.matchAll(pattern)].flatMap((match) => {
    const amount = readWrittenSum(match[1]!, currency, locale);
    return amount === undefined ? [] : [{ from: match.index, to: match.index + match[0].length, amount }];
  });
}

const named = new Map<string, RegExp>();

/** The last word of a currency’s name: nobody writes “British pounds”. */
function nameOf(count: number, currency: string, locale: string): string {
  const format = new Intl.NumberFormat(locale, { style: 'currency', currency, currencyDisplay: 'name' });
  const name = format.formatToParts(count).find(({ type }) => type === 'currency')?.value ?? currency;
  return escaped(name.split(' ').at(-1)!);
}

function patternOf(currency: string): RegExp {
  let pattern = patterns.get(currency);
  if (!pattern) {
    const sign = [...signsOf(currency)].map(escaped).join('|');
    const figures = "\\d+(?:[.,'’\\u00a0\\u202f ]\\d{3})*(?:[.,]\\d{1,2})?";
    pattern = new RegExp(
      `(?<![\\p{L}\\d.,])(?:[-−]?(?:${sign})\\s?${figures}(?!\\d)|${figures}\\s?(?:${sign})(?!\\p{L}))`,
      'gu',
    );
    patterns.set(currency, pattern);
  }
  return pattern;
}

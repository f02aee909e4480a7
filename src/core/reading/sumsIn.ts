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

function patternOf(currency: string): RegExp {
  let pattern = patterns.get(currency);
  if (!pattern) {
    const sign = [...signsOf(currency)].map((one) => one.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')).join('|');
    const figures = "\\d+(?:[.,'’\\u00a0\\u202f ]\\d{3})*(?:[.,]\\d{1,2})?";
    pattern = new RegExp(
      `(?<![\\p{L}\\d.,])(?:[-−]?(?:${sign})\\s?${figures}(?!\\d)|${figures}\\s?(?:${sign})(?!\\p{L}))`,
      'gu',
    );
    patterns.set(currency, pattern);
  }
  return pattern;
}

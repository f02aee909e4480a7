import { expect, it } from 'vitest';
import { readWrittenSum } from './readWrittenSum';

it.each<[string, string, string, number | undefined]>([
  ['96', 'GBP', 'en-GB', 9600],
  ['£1,234.50', 'GBP', 'en-GB', 123450],
  ['1.234,50 €', 'EUR', 'de-DE', 123450],
  ['1 234,50 €', 'EUR', 'fr-FR', 123450],
  ["1'234.50", 'CHF', 'de-CH', 123450],
  ['1,234', 'GBP', 'en-GB', 123400],
  ['1.234', 'EUR', 'de-DE', 123400],
  ['1,5', 'GBP', 'en-GB', 150],
  ['1,234,567', 'GBP', 'en-GB', 123456700],
  ['(12.00)', 'GBP', 'en-GB', -1200],
  ['-12.00', 'GBP', 'en-GB', -1200],
  ['96.00-', 'GBP', 'en-GB', -9600],
  ['GBP 96.00', 'GBP', 'en-GB', 9600],
  ['1200', 'JPY', 'ja-JP', 1200],
  // Another currency, words, too many places, more than anybody pays.
  ['€96.00', 'GBP', 'en-GB', undefined],
  ['about 96', 'GBP', 'en-GB', undefined],
  ['1.2345', 'GBP', 'en-GB', undefined],
  ['', 'GBP', 'en-GB', undefined],
  ['12,34,5.6.7', 'GBP', 'en-GB', undefined],
  ['99999999999999', 'GBP', 'en-GB', undefined],
])('%s in %s as %s has it', (words, currency, locale, amount) => {
  expect(readWrittenSum(words, currency, locale)).toBe(amount);
});

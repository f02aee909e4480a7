import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayOf } from '../../dates/civil';
import { decimalString, minorDigits } from '../../money/currency';
import { dateWriter } from './dateWriter';
import { sumWriter } from './sumWriter';

// Locales with other orders, cases, groupings, digits and calendars than those that are promised.
const LOCALES = [
  'en-GB',
  'en-US',
  'de-DE',
  'fr-FR',
  'de-CH',
  'es-ES',
  'pt-PT',
  'pl-PL',
  'ca-ES',
  'en-IN',
  'ja-JP',
  'ar-EG',
  'fa-IR',
  'th-TH',
];
const FORMS: Intl.DateTimeFormatOptions[] = [
  { dateStyle: 'long' },
  { dateStyle: 'full' },
  { day: 'numeric', month: 'numeric', year: 'numeric' },
  { weekday: 'long' },
  { day: 'numeric', month: 'long' },
  { month: 'long', year: 'numeric' },
];
const DAY_MS = 86_400_000;

describe('dates are written as Intl writes them', () => {
  const first = dayOf({ year: 800, month: 1, day: 1 });
  const last = dayOf({ year: 10_100, month: 1, day: 1 });
  const near = dayOf({ year: 2000, month: 1, day: 1 });
  it.each(LOCALES)('in %s', (locale) => {
    for (const form of FORMS) {
      const format = new Intl.DateTimeFormat(locale, { ...form, timeZone: 'UTC' });
      const write = dateWriter(format);
      for (let day = near; day < near + 1500; day++) {
        if (write(day) !== format.format(day * DAY_MS)) expect(write(day)).toBe(format.format(day * DAY_MS));
      }
      fc.assert(
        fc.property(fc.integer({ min: first, max: last }), (day) => {
          expect(write(day)).toBe(format.format(day * DAY_MS));
        }),
        { numRuns: 100, seed: 20261125 },
      );
    }
  });
});

describe('sums are written as Intl writes them, to the last digit', () => {
  it.each(LOCALES)('in %s', (locale) => {
    for (const currency of ['GBP', 'EUR', 'JPY', 'KWD']) {
      const places = minorDigits(currency);
      for (const options of [
        { style: 'currency', currency },
        { minimumFractionDigits: places, useGrouping: false },
      ] as const) {
        const format = new Intl.NumberFormat(locale, options);
        const write = sumWriter(format, places);
        const plain = (units: number) => format.format(decimalString(units, places) as unknown as number);
        for (const units of [
          0,
          1,
          -1,
          99,
          100,
          1e6,
          -1e6,
          Number.MAX_SAFE_INTEGER,
          Number.MIN_SAFE_INTEGER,
        ]) {
          expect(write(units)).toBe(plain(units));
        }
        fc.assert(
          fc.property(
            fc.oneof(fc.maxSafeInteger(), fc.integer({ min: -2_000_000, max: 2_000_000 })),
            (units) => {
              expect(write(units)).toBe(plain(units));
            },
          ),
          { numRuns: 200, seed: 20261125 },
        );
      }
    }
  });
});

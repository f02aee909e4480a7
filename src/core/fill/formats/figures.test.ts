import { describe, expect, it } from 'vitest';
import { readDay } from '../../dates/civil';
import { readMoment } from '../../dates/zone';
import { FIGURES, textOf } from '../show';
import type { Run } from '../run';
import { escapeWithBreaks } from '../write/escape';
import { Formats } from './formats';
import { smallWords } from './smallWords';

// What is written in figures and words of the locale alone is not looked at before it goes into a letter's HTML.
const LOCALES =
  `af am ar ar-EG az be bg bn bs ca cs cy da de de-CH el en-GB en-IN en-US es et eu fa fi fr fr-CA fr-CH ga gl
  gu he hi hr hu hy id is it ja ka kk km kn ko ky lo lt lv mk ml mn mr ms my nb ne nl or pa pl ps pt ro ru si sk sl sq sr
  sv sw ta te th tr uk ur uz vi zh zh-Hant zu`.split(/\s+/);
const CURRENCIES = ['GBP', 'EUR', 'USD', 'JPY', 'CHF', 'SEK', 'INR', 'KWD', 'XAF'];
const DAY_FORMS = ['date', 'long date', 'short date', 'weekday', 'day and month', 'month'] as const;

describe('figures hold nothing that would have to be escaped', () => {
  it.each(LOCALES)('in %s', (locale) => {
    for (const currency of CURRENCIES) {
      const formats = new Formats({ locale, home: locale, zone: 'Europe/London', currency, hourCycle: 12 });
      const [day, moment] = [readDay('2026-03-09')!, readMoment('2026-03-09T15:05:00Z')!];
      const { numbers, yes, no } = smallWords(locale);
      const written = [
        ...DAY_FORMS.map((form) => formats.date(day, form)),
        ...[-400, -20, -1, 0, 1, 30, 100, 900].map((days) => formats.fromNow(day + days, day)),
        formats.time(moment),
        formats.dateAndTime(moment),
        ...[-1_234_567, 0, 90_000].flatMap((sum) => [
          formats.money(sum),
          formats.wholeMoney(sum),
          formats.plainMoney(sum),
          formats.decimal(sum / 1000),
          formats.percent(sum / 1000),
          formats.hours(sum),
          formats.duration(sum),
        ]),
        ...[...numbers, yes, no],
      ];
      expect(written.filter((text) => escapeWithBreaks(text) !== text)).toEqual([]);
    }
  });

  it('among them is each type that is written so', () => {
    const run = {
      formats: new Formats({ locale: 'de', home: 'de', zone: 'UTC', currency: 'EUR', hourCycle: 24 }),
    };
    for (const kind of FIGURES) {
      const value = kind === 'yes/no' ? true : 5;
      expect(textOf({ kind } as never)(value as never, run as Run)).toMatch(/\d|ja/);
    }
  });
});

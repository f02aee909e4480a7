import { describe, expect, it } from 'vitest';
import { readMoment } from '../dates/zone';
import type { BlankType } from '../document/templateDocument';
import { RecordBook } from '../records/recordBook';
import { readTypedAnswer, typedDay } from './readTypedAnswer';

/** A business of a country, on Wednesday, 25 November 2026. */
function business(locale?: string, currency?: string): RecordBook {
  const form = { ...(locale ? { locale } : {}), ...(currency ? { currency } : {}) };
  const records = { business: { name: 'Larkfield Piano Care', ...form }, members: [], clients: [] };
  return new RecordBook(records, readMoment('2026-11-25T09:00:00Z')!);
}

function read(typed: string, kind: Exclude<BlankType['kind'], 'choice'>, locale?: string, currency?: string) {
  return readTypedAnswer(typed, { kind }, business(locale, currency));
}

describe('an answer as it is typed', () => {
  it.each([
    ['9 Dec', 'date', 'en-GB', 'GBP', '2026-12-09'],
    ['tomorrow', 'date', 'en-GB', 'GBP', '2026-11-26'],
    ['9.12.', 'date', 'de-DE', 'EUR', '2026-12-09'],
    ['12/9', 'date', 'en-US', 'USD', '2026-12-09'],
    ['2026-12-09', 'date', 'en-US', 'USD', '2026-12-09'],
    ['£65', 'money', 'en-GB', 'GBP', '65.00'],
    ['65.5', 'money', 'en-GB', 'GBP', '65.50'],
    ['1,250', 'money', 'en-GB', 'GBP', '1250.00'],
    ['1.250,50 €', 'money', 'de-DE', 'EUR', '1250.50'],
    ['65,00', 'money', 'de-DE', 'EUR', '65.00'],
    ['2.5', 'number', 'en-GB', 'GBP', '2.5'],
    ['2,5', 'number', 'de-DE', 'EUR', '2.5'],
    ['2.5', 'number', 'de-DE', 'EUR', '2.5'],
    ['Bring a torch', 'text', 'de-DE', 'EUR', 'Bring a torch'],
  ] as const)('%s, a %s in %s', (typed, kind, locale, currency, answer) =>
    expect(read(typed, kind, locale, currency)).toEqual({ answer }),
  );

  it.each([
    ['soon', 'date', 'en-GB', 'a day, as “2 December”'],
    ['31 November', 'date', 'en-GB', 'a day, as “2 December”'],
    ['9 December 2226', 'date', 'en-GB', 'a day, as “2 December”'],
    ['soon', 'date', 'de-DE', 'a day, as “2. Dezember”'],
    ['much', 'money', 'en-GB', 'a sum, as 65 or 65.00'],
    ['€65', 'money', 'en-GB', 'a sum, as 65 or 65.00'],
    ['1.500', 'number', 'de-DE', 'a number, as 3 or 2.5'],
    ['1,500', 'number', 'en-GB', 'a number, as 3 or 2.5'],
    ['perhaps', 'yes/no', 'en-GB', 'yes or no'],
  ] as const)('%s is no %s in %s', (typed, kind, locale, expected) =>
    expect(read(typed, kind, locale, 'GBP')).toEqual({ expected }),
  );

  it('is shown in a form that is read again as the same day, in any language', () => {
    expect(typedDay('2026-12-09', business('en-GB'))).toBe('Wednesday, 9 December 2026');
    expect(typedDay('2026-12-09', business('de-DE'))).toBe('Mittwoch, 9. Dezember 2026');
    for (const locale of ['en-US', 'fr-FR', 'nl-NL', 'it-IT', 'pl-PL', 'ja-JP', 'ar-EG', undefined]) {
      const book = business(locale);
      expect(readTypedAnswer(typedDay('2026-12-09', book), { kind: 'date' }, book)).toEqual({
        answer: '2026-12-09',
      });
    }
  });

  it('that is no day is shown as it is', () => expect(typedDay('soon', business())).toBe('soon'));
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readDay } from '../../dates/civil';
import { readMoment } from '../../dates/zone';
import { addressLines, countryOf } from './address';
import { Formats, type FormatSettings } from './formats';
import { phoneNumber } from './phone';
import { smallWords } from './smallWords';

const day = readDay('2026-03-03')!;
const moment = readMoment('2026-03-03T09:30:00Z')!;

function formats(locale: string, more: Partial<FormatSettings> = {}): Formats {
  return new Formats({ locale, home: locale, zone: 'UTC', currency: 'GBP', hourCycle: 24, ...more });
}

/** Intl puts narrow and no-break spaces where this compares plain ones. */
const plain = (text: string) => text.replace(/[\u00a0\u202f]/g, ' ');

describe('dates', () => {
  it.each([
    ['en-GB', '3 March 2026', 'Tuesday, 3 March 2026', '03/03/2026', '3 March', 'March 2026'],
    ['en-US', 'March 3, 2026', 'Tuesday, March 3, 2026', '3/3/2026', 'March 3', 'March 2026'],
    ['de-DE', '3. März 2026', 'Dienstag, 3. März 2026', '3.3.2026', '3. März', 'März 2026'],
    ['fr-FR', '3 mars 2026', 'mardi 3 mars 2026', '03/03/2026', '3 mars', 'mars 2026'],
  ])('in %s', (locale, date, long, short, dayAndMonth, month) => {
    const written = formats(locale);
    expect(written.date(day, 'date')).toBe(date);
    expect(written.date(day, 'long date')).toBe(long);
    expect(written.date(day, 'short date')).toBe(short);
    expect(written.date(day, 'day and month')).toBe(dayAndMonth);
    expect(written.date(day, 'month')).toBe(month);
  });

  it.each([
    ['en-GB', 24, '09:30', '3 March 2026 at 09:30'],
    ['en-US', 12, '9:30 AM', 'March 3, 2026 at 9:30 AM'],
    ['de-DE', 24, '09:30', '3. März 2026 um 09:30'],
    ['fr-FR', 24, '09:30', '3 mars 2026 à 09:30'],
  ] as const)('with the clock in %s', (locale, hourCycle, time, both) => {
    const written = formats(locale, { hourCycle });
    expect(plain(written.time(moment))).toBe(time);
    expect(plain(written.dateAndTime(moment))).toBe(both);
  });

  it('with the clock of the zone, midnight being 00:00', () => {
    expect(formats('en-GB', { zone: 'Asia/Tokyo' }).time(readMoment('2026-03-03T15:00:00Z')!)).toBe('00:00');
    expect(formats('en-GB', { zone: 'Asia/Tokyo' }).dayOf(readMoment('2026-03-03T15:00:00Z')!)).toBe(day + 1);
  });

  it.each([
    [0, 'today'],
    [1, 'tomorrow'],
    [-1, 'yesterday'],
    [13, 'in 13 days'],
    [-13, '13 days ago'],
    [14, 'in 2 weeks'],
    [59, 'in 8 weeks'],
    [-20, '3 weeks ago'],
    [60, 'in 2 months'],
    [-60, '2 months ago'],
    [62, 'in 2 months'],
    [365, 'in 12 months'],
    [-800, '2 years ago'],
    [1100, 'in 3 years'],
  ])('%i days from now: %s', (days, expected) =>
    expect(formats('en-GB').fromNow(day + days, day)).toBe(expected),
  );

  it('from now in another language', () => {
    expect(formats('de-DE').fromNow(day + 2, day)).toBe('übermorgen');
    expect(formats('fr-FR').fromNow(day + 3, day)).toBe('dans 3 jours');
  });
});

describe('sums', () => {
  it.each([
    ['en-GB', 'GBP', '£1,234.50', '£1,234', '1234.50'],
    ['en-US', 'USD', '$1,234.50', '$1,234', '1234.50'],
    ['de-DE', 'EUR', '1.234,50 €', '1.234 €', '1234,50'],
    ['fr-FR', 'EUR', '1 234,50 €', '1 234 €', '1234,50'],
    ['ja-JP', 'JPY', '￥123,450', '￥123,400', '123450'],
  ])('in %s, %s', (locale, currency, money, whole, number) => {
    const written = formats(locale, { currency });
    expect(plain(written.money(123450))).toBe(money);
    expect(plain(written.wholeMoney(123400))).toBe(whole);
    expect(plain(written.plainMoney(123450))).toBe(number);
  });

  it('keep every digit of a large one', () => {
    expect(formats('en-GB').money(Number.MAX_SAFE_INTEGER)).toBe('£90,071,992,547,409.91');
  });

  it('keep their minor units unless they are zero', () => {
    expect(formats('en-GB').wholeMoney(123405)).toBe('£1,234.05');
    expect(formats('en-GB').wholeMoney(-500)).toBe('-£5');
  });
});

describe('numbers, durations and lists', () => {
  it.each([
    ['en-GB', '1,234.5', '17.5%', '2 hours 30 minutes', '2.5 hours', 'a, b and c', 'a, b or c'],
    ['en-US', '1,234.5', '17.5%', '2 hours 30 minutes', '2.5 hours', 'a, b, and c', 'a, b, or c'],
    ['de-DE', '1.234,5', '17,5 %', '2 Stunden 30 Minuten', '2,5 Stunden', 'a, b und c', 'a, b oder c'],
    ['fr-FR', '1 234,5', '17,5 %', '2 heures 30 minutes', '2,5 heures', 'a, b et c', 'a, b ou c'],
  ])('in %s', (locale, decimal, percent, duration, hours, and, or) => {
    const written = formats(locale);
    expect(plain(written.decimal(1234.5))).toBe(decimal);
    expect(plain(written.percent(17.5))).toBe(percent);
    expect(plain(written.duration(150))).toBe(duration);
    expect(plain(written.hours(150))).toBe(hours);
    expect(written.and(['a', 'b', 'c'])).toBe(and);
    expect(written.or(['a', 'b', 'c'])).toBe(or);
  });

  it('leave out the part of a duration that is nothing', () => {
    expect(['1 hour', '45 minutes', '0 minutes']).toEqual(
      [60, 45, 0].map((minutes) => formats('en-GB').duration(minutes)),
    );
  });

  it('have words for yes, no and one to twelve, in English for other languages', () => {
    expect(smallWords('de-AT').numbers[11]).toBe('zwölf');
    expect(smallWords('fr-FR').yes).toBe('oui');
    expect(smallWords('sv-SE')).toBe(smallWords('en-GB'));
    expect(smallWords('constructor')).toBe(smallWords('en-GB'));
  });
});

describe('addresses', () => {
  const street = ['Am Speicher 8'];

  it('are in the order of their country', () => {
    expect(
      addressLines(
        { street: ['6 Quay Lane'], town: 'Saltby', region: 'Overshire', postcode: 'LK2 4AA' },
        'en-GB',
      ),
    ).toEqual(['6 Quay Lane', 'Saltby', 'Overshire', 'LK2 4AA']);
    expect(addressLines({ street, town: 'Wiekhafen', postcode: '26999' }, 'de-DE')).toEqual([
      'Am Speicher 8',
      '26999 Wiekhafen',
    ]);
  });

  it('name their country only where it is another one', () => {
    expect(addressLines({ street, town: 'Wiekhafen', postcode: '26999', country: 'DE' }, 'en-GB')).toEqual([
      'Am Speicher 8',
      '26999 Wiekhafen',
      'Germany',
    ]);
    expect(addressLines({ town: 'Saltby', country: 'GB' }, 'en-GB')).toEqual(['Saltby']);
    expect(addressLines({ town: 'Saltby', country: 'Overland' }, 'en-GB')).toEqual(['Saltby', 'Overland']);
  });

  it.each([
    // Each country's order, by libaddressinput's data.
    ['en-GB', { region: 'Overstrand', postcode: 'OV1 2AB' }, 'Saltby', 'Overstrand', 'OV1 2AB'],
    ['en-US', { region: 'CA', postcode: '94016' }, 'Saltby, CA 94016'],
    ['fr-FR', { postcode: '75001' }, '75001 Saltby'],
    ['it-IT', { region: 'MI', postcode: '20121' }, '20121 Saltby MI'],
    ['pt-BR', { region: 'SP', postcode: '01310-100' }, 'Saltby-SP', '01310-100'],
    ['en-CA', { region: 'ON', postcode: 'K1A 0B1' }, 'Saltby ON K1A 0B1'],
  ])('follow the order of %s', (home, place, ...lines) =>
    expect(addressLines({ street, town: 'Saltby', ...place }, home)).toEqual([...street, ...lines]),
  );

  it('have a postcode’s country before it only from abroad', () => {
    const address = { street, town: 'Salzig', postcode: '8000', country: 'CH' };
    expect(addressLines(address, 'de-CH')).toEqual([...street, '8000 Salzig']);
    expect(addressLines(address, 'en-GB')).toEqual([...street, 'CH-8000 Salzig', 'Switzerland']);
  });

  it('find a country by its name, in English or the business’s language', () => {
    for (const country of ['DE', 'Germany', 'Deutschland', ' germany ']) {
      const address = { street, town: 'Salzig', postcode: '12345', country };
      expect(addressLines(address, 'de-DE')).toEqual([...street, '12345 Salzig']);
    }
    const abroad = { street, town: 'Salzig', postcode: '12345', country: 'Germany' };
    expect(addressLines(abroad, 'fr-FR').at(-1)).toBe('Allemagne');
  });

  it('lose no part that the country’s form has no place for', () => {
    const address = { town: 'Minato', region: 'Tokyo', postcode: '100-0001', country: 'JP' };
    expect(addressLines({ street: ['1 Pier'], ...address }, 'en-GB')).toEqual([
      '1 Pier, Minato, Tokyo',
      '100-0001',
      'Japan',
    ]);
    expect(addressLines({ street, town: 'Salzig', region: 'Watt', postcode: '12345' }, 'de-DE')).toEqual([
      ...street,
      '12345 Salzig',
      'Watt',
    ]);
    fc.assert(
      fc.property(
        fc.record({
          town: fc.constantFrom('', 'Saltby'),
          region: fc.constantFrom('', 'Overstrand'),
          postcode: fc.constantFrom('', 'OV1 2AB'),
          country: fc.constantFrom('', 'GB', 'US', 'DE', 'FR', 'JP', 'CN', 'SG', 'CH', 'ZZ', 'Atlantis'),
        }),
        fc.constantFrom('en-GB', 'en-US', 'de-DE', 'fr-FR'),
        (address, home) => {
          const lines = addressLines({ street: ['1 Pier'], ...address }, home).join(' ');
          for (const part of ['1 Pier', address.town, address.region, address.postcode])
            expect(lines).toContain(part);
        },
      ),
    );
  });

  it('leave out what they lack', () => expect(addressLines({ street: ['', ' '] }, 'en-GB')).toEqual([]));

  it('belong to the country of a locale', () => {
    expect(['en-GB', 'de', 'fr-CA'].map(countryOf)).toEqual(['GB', 'DE', 'CA']);
  });
});

describe('telephone numbers', () => {
  it.each([
    ['01632 960101', 'local', '01632 960101'],
    ['01632960101', 'local', '01632 960101'],
    ['+44 1632 960101', 'local', '01632 960101'],
    ['07700 900201', 'international', '+44 7700 900201'],
    ['+49 30 23125000', 'local', '+49 30 23125000'],
    ['ring the bell', 'local', 'ring the bell'],
  ] as const)('%s, %s: %s', (number, form, expected) =>
    expect(phoneNumber(number, form, 'en-GB')).toBe(expected),
  );
});

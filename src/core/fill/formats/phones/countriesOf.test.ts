import { parsePhoneNumberFromString, type CountryCode, type MetadataJson } from 'libphonenumber-js/core';
import { expect, it } from 'vitest';
import examples from 'libphonenumber-js/mobile/examples';
import { countries } from '#phone-countries';
import { countriesOf } from './countriesOf';

const HOMES: [string, CountryCode][] = [
  ['en-GB', 'GB'],
  ['de-AT', 'AT'],
  ['en-CA', 'CA'],
  ['en-GG', 'GG'],
];

function written(number: string, home: CountryCode, known: MetadataJson) {
  const parsed = parsePhoneNumberFromString(number, home, known);
  return parsed && [parsed.formatNational(), parsed.formatInternational(), parsed.number];
}

it.each(HOMES)(
  'a number of any country is written from what is told for it as from all there is: %s',
  (locale, home) => {
    const different: string[] = [];
    for (const [country, national] of Object.entries(examples as Record<string, string>)) {
      const international = parsePhoneNumberFromString(national, country as CountryCode, countries)!.number;
      for (const number of country === home ? [national, international] : [international]) {
        const told = countriesOf({ business: { locale }, clients: [{ key: 'c', phone: number }] });
        if (String(written(number, home, told)) !== String(written(number, home, countries)))
          different.push(`${country} ${number}: ${written(number, home, told)}`);
      }
    }
    expect(different).toEqual([]);
  },
);

it('tells of the countries in the records, and of no more', () => {
  const told = countriesOf({
    business: { locale: 'en-GB' },
    clients: [{ key: 'c', mobile: '+49 171 1234567', custom: { sister: '+800 1234 5678' } }],
  });
  expect(Object.keys(told.countries)).toEqual(['GB', 'DE']);
  expect(told.country_calling_codes).toMatchObject({ 44: ['GB'], 49: ['DE'] });
  expect(Object.keys(told.nonGeographic)).toEqual(['800']);
  expect(JSON.stringify(told).length).toBeLessThan(8000);
});

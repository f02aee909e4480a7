import { parsePhoneNumberFromString, type CountryCode, type MetadataJson } from 'libphonenumber-js/core';
import { countries } from '#phone-countries';
import { SCHEMA_DEFAULTS } from '../../../records/defaults';
import type { RecordsFile } from '../../../records/recordsFile';
import { countryOf } from '../address';

const INTERNATIONAL = /^\s*(?:\+|00|\(\+)/;

/**
 * What has to be known of countries to write the telephone numbers of some records: of the business's own, and of every
 * number with a country's code.
 * @param records any texts of theirs are looked at: custom fields can hold numbers, too
 */
export function countriesOf(records: RecordsFile): MetadataJson {
  const home = countryOf(records.business.locale ?? SCHEMA_DEFAULTS.locale) as CountryCode;
  const codes = new Set<string>();
  const found: MetadataJson = { ...countries, country_calling_codes: {}, countries: {}, nonGeographic: {} };
  const add = (country: CountryCode) => {
    const known = countries.countries[country];
    if (known) found.countries[country] = known;
  };
  add(home);
  for (const [code, own] of Object.entries(countries.country_calling_codes))
    if (own.includes(home)) codes.add(code);
  for (const text of textsIn(records)) {
    if (!INTERNATIONAL.test(text)) continue;
    const parsed = parsePhoneNumberFromString(text, home, countries);
    if (!parsed) continue;
    const code = parsed.countryCallingCode;
    codes.add(code);
    if (parsed.country) add(parsed.country);
    // Numbers of no country, as +800.
    const none = countries.nonGeographic[code];
    if (none) found.nonGeographic[code] = none;
  }
  for (const code of codes) {
    const [main] = countries.country_calling_codes[code] ?? [];
    if (main === undefined) continue;
    add(main);
    found.country_calling_codes[code] = countries.country_calling_codes[code]!.filter(
      (country) => found.countries[country],
    );
  }
  return found;
}

function* textsIn(value: unknown): Generator<string> {
  if (typeof value === 'string') yield value;
  else if (typeof value === 'object' && value !== null)
    for (const inner of Object.values(value)) yield* textsIn(inner);
}

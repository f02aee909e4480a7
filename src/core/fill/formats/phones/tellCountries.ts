import type { MetadataJson } from 'libphonenumber-js/core';
import { countries } from '#phone-countries';

/** Tells a browser how numbers of more countries are written. */
export function tellCountries(more: MetadataJson): void {
  Object.assign(countries.countries, more.countries);
  for (const [code, own] of Object.entries(more.country_calling_codes))
    countries.country_calling_codes[code] = [
      ...new Set([...own, ...(countries.country_calling_codes[code] ?? [])]),
    ];
  Object.assign(countries.nonGeographic, more.nonGeographic);
}

import type { MetadataJson } from 'libphonenumber-js/core';

/**
 * How telephone numbers are written, of the countries that were told. Named `#phone-countries` in a browser, which need
 * not fetch those of the whole world for one letter.
 */
export const countries: MetadataJson = {
  version: 4,
  country_calling_codes: {},
  countries: {},
  nonGeographic: {},
};

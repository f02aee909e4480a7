import type { AddressData } from '../../records/recordsFile';

/** Countries that write the postcode before the town, on one line. */
const POSTCODE_FIRST = new Set('AT BE CH CZ DE DK ES FI FR GR IT LU NL NO PL PT SE'.split(' '));

/**
 * An address line by line, in the order of its country, which is named only where it is not the business's own.
 * @param home the business's locale
 */
export function addressLines(address: AddressData, home: string): string[] {
  const { street = [], town, region, postcode, country } = address;
  const homeCountry = countryOf(home);
  const code = country && /^[A-Z]{2}$/.test(country) ? country : undefined;
  const place = POSTCODE_FIRST.has(code ?? homeCountry)
    ? [[postcode, town].filter(Boolean).join(' '), region]
    : [town, region, postcode];
  const abroad = country && country !== homeCountry ? [countryName(country, home)] : [];
  return [...street, ...place, ...abroad].filter((line): line is string => Boolean(line?.trim()));
}

/** The country a locale stands for: GB for en-GB, DE for de. */
export function countryOf(locale: string): string {
  const given = new Intl.Locale(locale);
  return given.region ?? given.maximize().region ?? 'GB';
}

function countryName(country: string, home: string): string {
  if (!/^[A-Z]{2}$/.test(country)) return country;
  return new Intl.DisplayNames(home, { type: 'region', fallback: 'code' }).of(country) ?? country;
}

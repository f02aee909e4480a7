import { formatAddress } from 'localized-address-format';
import type { AddressData } from '../../records/recordsFile';

/** Scripts whose addresses are written from the large to the small. */
const EAST_ASIAN = /[\p{Script=Han}\p{Script=Hangul}\p{Script=Hiragana}\p{Script=Katakana}]/u;

/**
 * An address line by line, in the order of its country (by the data of libaddressinput), which is named only where it
 * is not the business's own. A part that the country's form has no place for follows on a line of its own.
 * @param home the business's locale
 */
export function addressLines(address: AddressData, home: string): string[] {
  const { town, region, postcode, country } = address;
  const street = (address.street ?? []).filter((line) => line.trim());
  const homeCountry = countryOf(home);
  const code = country ? countryCode(country, home) : homeCountry;
  const format = (addressLines: string[]) =>
    formatAddress(
      {
        postalCountry: code ?? homeCountry,
        addressLines,
        ...(town ? { locality: town } : {}),
        ...(region ? { administrativeArea: region } : {}),
        ...(postcode ? { postalCode: postcode } : {}),
      },
      EAST_ASIAN.test(`${street.join()}${town}`) ? 'local' : 'latin',
    );
  let lines = format(street);
  // Some countries have the town in the street's line.
  if (town && !lines.some((line) => line.includes(town))) lines = format([[...street, town].join(', ')]);
  const placed = lines.map((line) => (code === homeCountry ? withoutPrefix(line, postcode) : line));
  for (const part of [postcode, region]) {
    if (part?.trim() && !placed.some((line) => line.includes(part))) insertAfterTown(placed, part, town);
  }
  if (country && code !== homeCountry) placed.push(code ? countryName(code, home) : country);
  return placed.map((line) => line.trim()).filter(Boolean);
}

/** "CH-8000" is for letters from abroad. */
function withoutPrefix(line: string, postcode = ''): string {
  const prefix = /^[A-Z]{1,3}-/.exec(line)?.[0];
  return prefix && postcode && line.startsWith(prefix + postcode) ? line.slice(prefix.length) : line;
}

function insertAfterTown(lines: string[], part: string, town: string | undefined): void {
  const at = town ? lines.findIndex((line) => line.includes(town)) : -1;
  lines.splice(at < 0 ? lines.length : at + 1, 0, part);
}

/** The country a locale stands for: GB for en-GB, DE for de. */
export function countryOf(locale: string): string {
  const given = new Intl.Locale(locale);
  return given.region ?? given.maximize().region ?? 'GB';
}

const codes = new Map<string, ReadonlyMap<string, string>>();

/** The ISO 3166 code of a country given by its code, or by its name in the business's language or in English. */
function countryCode(country: string, home: string): string | undefined {
  const given = country.trim();
  if (/^[A-Z]{2}$/.test(given)) return given;
  let named = codes.get(home);
  if (!named) codes.set(home, (named = codesByName(home)));
  return named.get(given.toLowerCase());
}

function codesByName(home: string): ReadonlyMap<string, string> {
  const letters = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];
  const all = letters.flatMap((first) => letters.map((second) => first + second));
  const named = new Map<string, string>();
  for (const locale of ['en', home]) {
    const names = new Intl.DisplayNames(locale, { type: 'region', fallback: 'none' });
    for (const code of all) {
      const name = names.of(code)?.toLowerCase();
      // An old code has the name of the country that followed; the first in the alphabet is not always today's.
      if (name && new Intl.Locale(`und-${code}`).region === code) named.set(name, code);
    }
  }
  return named;
}

function countryName(code: string, home: string): string {
  return new Intl.DisplayNames(home, { type: 'region', fallback: 'code' }).of(code) ?? code;
}

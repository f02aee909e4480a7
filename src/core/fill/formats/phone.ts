import { getCountryCallingCode, parsePhoneNumberFromString, type CountryCode } from 'libphonenumber-js/core';
import { countries } from '#phone-countries';
import { countryOf } from './address';

const written = new Map<string, string>();

/**
 * A telephone number in its country's way or the international one. A number without + is read in the country of
 * the business's locale; what is no number stays as written.
 */
export function phoneNumber(number: string, form: 'local' | 'international', home: string): string {
  const key = `${form} ${home} ${number}`;
  let found = written.get(key);
  if (found === undefined) {
    const country = countryOf(home) as CountryCode;
    const parsed = parsePhoneNumberFromString(number, country, countries);
    // Abroad, a local form would be dialled wrongly.
    const local =
      form === 'local' && parsed?.countryCallingCode === getCountryCallingCode(country, countries);
    found = !parsed ? number : local ? parsed.formatNational() : parsed.formatInternational();
    if (written.size > 5000) written.clear();
    written.set(key, found);
  }
  return found;
}

/** A number as a tel: link takes it: the international one (RFC 3966), else its digits. */
export function diallable(number: string, home: string): string {
  const parsed = parsePhoneNumberFromString(number, countryOf(home) as CountryCode, countries);
  return parsed?.number ?? number.replace(/(?!^\+)[^\d]/g, '');
}

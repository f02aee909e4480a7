import { getCountryCallingCode, type CountryCode } from 'libphonenumber-js/core';
import { countries } from '#phone-countries';

/**
 * The digits by which a telephone number may be looked for, at home and from abroad, separated by spaces. Read by their
 * first digits only, as a list has thousands of them. `home` is the business's locale.
 */
export function numberForms(home: string): (number: string) => string {
  const region = new Intl.Locale(home).maximize().region as CountryCode;
  const code = getCountryCallingCode(region, countries);
  return (number) => {
    const digits = number.replace(/\D/g, '');
    if (number.trim().startsWith('+'))
      return digits.startsWith(code) ? `${digits} 0${digits.slice(code.length)}` : digits;
    return digits.startsWith('0') ? `${digits} ${code}${digits.slice(1)}` : digits;
  };
}

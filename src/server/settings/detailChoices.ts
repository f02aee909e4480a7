import { publicHolidays } from './publicHolidays';

/** What may be chosen for a business's own details, in the words of its language. */
export function detailChoices(locale: string, timeZone: string) {
  const currency = new Intl.DisplayNames([locale, 'en'], { type: 'currency' });
  const weekday = new Intl.DateTimeFormat(locale, { weekday: 'long', timeZone: 'UTC' });
  return {
    zones: [...new Set([timeZone, ...Intl.supportedValuesOf('timeZone')])].sort(),
    currencies: Intl.supportedValuesOf('currency').map((code) => [code, currency.of(code) ?? code] as const),
    // 5 January 2026 is a Monday.
    days: [5, 6, 7, 8, 9, 10, 11].map((day) => weekday.format(Date.UTC(2026, 0, day))),
    holidays: publicHolidays(locale, timeZone),
  };
}

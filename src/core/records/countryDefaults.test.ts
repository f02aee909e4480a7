import { expect, it } from 'vitest';
import { COUNTRIES, countryDefaults } from './countryDefaults';

it('a country’s likely language, zone, currency, week and hours', () => {
  expect(countryDefaults('GB')).toEqual({
    locale: 'en-GB',
    time_zone: 'Europe/London',
    currency: 'GBP',
    hour_cycle: 24,
    working_days: [1, 2, 3, 4, 5],
  });
  expect(countryDefaults('DE')).toMatchObject({
    locale: 'de-DE',
    time_zone: 'Europe/Berlin',
    currency: 'EUR',
  });
  expect(countryDefaults('US')).toMatchObject({ locale: 'en-US', currency: 'USD', hour_cycle: 12 });
  expect(countryDefaults('EG').working_days).toEqual([1, 2, 3, 4, 7]);
});

it('of several, what the browser hints at, where the country has it', () => {
  const hints = { languages: ['xx-', 'en-GB', 'fr-CH'], timeZone: 'America/Denver' };
  expect(countryDefaults('CH', hints)).toMatchObject({ locale: 'fr-CH', time_zone: 'Europe/Zurich' });
  expect(countryDefaults('US', hints)).toMatchObject({ locale: 'en-US', time_zone: 'America/Denver' });
});

it('every country has some that the platform knows', () => {
  for (const country of COUNTRIES) {
    const { locale, time_zone: timeZone, currency } = countryDefaults(country);
    expect(() => new Intl.NumberFormat(locale, { style: 'currency', currency }), country).not.toThrow();
    expect(() => new Intl.DateTimeFormat(locale, { timeZone }), country).not.toThrow();
  }
});

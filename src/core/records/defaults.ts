/** What holds where a business has not said otherwise. */
export const SCHEMA_DEFAULTS = {
  locale: 'en-GB',
  timeZone: 'Europe/London',
  currency: 'GBP',
  workingDays: [1, 2, 3, 4, 5],
  itemLabel: 'item',
  bookingLabel: 'visit',
} as const;

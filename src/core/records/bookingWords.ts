import { SCHEMA_DEFAULTS } from './defaults';

/** What the business calls a booking, one and several: “visit”, “visits”. */
export interface BookingWords {
  booking: string;
  bookings: string;
}

/** The words of a business, by its own label. */
export function bookingWords(label: string | null | undefined): BookingWords {
  const booking = label || SCHEMA_DEFAULTS.bookingLabel;
  return { booking, bookings: `${booking}s` };
}

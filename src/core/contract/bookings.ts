import { object, string, type InferType } from 'yup';
import { readMoment } from '../dates/zone';
import { CHOICES } from '../records/catalogue/choices';
import { VERSION } from './numbers';
import { moment } from './records/parts';
import type { Refusal } from './refusal';

/** One fact of a booking changed by one press or by being dragged: given to `/api/bookings/<key>`. */
export const CHANGE_BOOKING = object({
  version: VERSION,
  status: string().oneOf(CHOICES['booking.status']),
  starts_at: moment(),
  ends_at: moment(),
})
  .noUnknown()
  .test('whole', 'It ends before it begins.', ({ starts_at, ends_at }) => {
    if (!starts_at && !ends_at) return true;
    return (readMoment(ends_at ?? '') ?? 0) > (readMoment(starts_at ?? '') ?? Infinity);
  });
export type ChangeBooking = InferType<typeof CHANGE_BOOKING>;

/** @property version it has now */
export type ChangeBookingAnswer = { version: number; error?: undefined } | Refusal;

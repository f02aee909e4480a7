import { array, object, type InferType } from 'yup';
import { moment, recordKey } from './records/parts';

/** A booking that is being chosen: given to `/api/bookings/clashes`. */
export const CLASH_ASKED = object({
  /** its own key, where it is there already */
  booking: recordKey(),
  client: recordKey(),
  member: recordKey(),
  items: array(recordKey().required()).required().max(100),
  starts_at: moment().required(),
  ends_at: moment().required(),
}).noUnknown();
export type ClashAsked = InferType<typeof CLASH_ASKED>;

/** What stands in its way. */
export interface ClashShown {
  /** the other's key */
  booking?: string;
  words: string;
}

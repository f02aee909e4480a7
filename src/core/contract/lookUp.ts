import { array, object, string, type InferType } from 'yup';
import { MOST_LOOKED_UP } from '../proof/reading/namedIn';
import { MOST_PROMISED } from '../proof/reading/promisedDays';
import { day } from './records/parts';

const WORDS = array(string().required().max(120)).max(MOST_LOOKED_UP).required();

/** What a letter says that only the server knows about: whose words are, and whether days are free. Given to `/api/letters/look-up`. */
export const ASKED_TO_LOOK_UP = object({
  /** the record that the letter starts from: `invoice:LPC-1048` */
  from: string().required().max(200),
  names: WORDS,
  emails: WORDS,
  phones: WORDS,
  streets: WORDS,
  invoices: WORDS,
  /** that it offers */
  days: array(day().required()).required().max(MOST_PROMISED),
}).noUnknown();
export type AskedToLookUp = InferType<typeof ASKED_TO_LOOK_UP>;

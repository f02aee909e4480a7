import { array, object, string, type InferType } from 'yup';
import type { OfAnother } from '../proof/proofMark';

/** So many words of each kind are looked up for one letter. */
export const MOST_LOOKED_UP = 60;

const WORDS = array(string().required().max(120)).max(MOST_LOOKED_UP).required();

/** Words of a letter of which it is asked whose they are: given to `/api/letters/of-others`. */
export const ASKED_OF_OTHERS = object({
  /** the record that the letter starts from: `invoice:LPC-1048` */
  from: string().required().max(200),
  names: WORDS,
  emails: WORDS,
  phones: WORDS,
  streets: WORDS,
  invoices: WORDS,
}).noUnknown();
export type AskedOfOthers = InferType<typeof ASKED_OF_OTHERS>;

/** What of it is another client's. */
export interface OfOthersAnswer {
  others: OfAnother[];
}

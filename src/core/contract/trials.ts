import { object, string, type InferType } from 'yup';
import { LONGEST_WORDS } from '../template/text/tooLarge';

/** A template's words to be tried out: given to `/api/templates/<key>/trial`. */
export const TRIAL = object({
  /** made when it is asked for: the same trial asked for again is none */
  id: string().uuid().required(),
  /** the record it is filled for: `invoice:LPC-1048` */
  from: string().required().max(200),
  /** whom it goes to: a member, by key. There is no other way to say it */
  to: string().required('Choose whom it goes to.').max(100),
  /** its words in their text form, as they are being written */
  text: string().required().max(LONGEST_WORDS, `These words are longer than ${LONGEST_WORDS} characters.`),
}).noUnknown();
export type Trial = InferType<typeof TRIAL>;

/** What came of it. */
export type TrialAnswer =
  | { result: 'going'; to: string }
  /** its words, in sentences; or an address that is missing */
  | { result: 'wrong'; error: string }
  | { result: 'gone'; error: string };

import { object, string, type InferType } from 'yup';
import type { RecordsFile } from '../records/recordsFile';
import type { Passage, Signature } from '../template/template';
import type { Problem } from '../problems/problem';
import { LONGEST_WORDS } from '../template/text/tooLarge';
import { VERSION } from './numbers';

/** A template's words in their text form, to be kept as a new version: given to `/api/templates/<key>`. */
export const WORDS_TO_KEEP = object({
  /** the version they were written from */
  version: VERSION,
  text: string().required().max(LONGEST_WORDS, `These words are longer than ${LONGEST_WORDS} characters.`),
}).noUnknown();
export type WordsToKeep = InferType<typeof WORDS_TO_KEEP>;

/** What came of it: the version's number, what is wrong with the words, or who kept another one meanwhile. */
export type KeepAnswer<Moment = string> =
  | { result: 'kept'; version: number }
  | { result: 'wrong'; problems: Problem[] }
  | { result: 'overtaken'; version: number; by: string | null; at: Moment }
  | { result: 'gone' }
  /** it would take a template of everyone's away from the others */
  | { result: 'refused' };

/** What the words of a business's templates are judged by, on the page and by the server. */
export interface WordsFacts {
  business: RecordsFile['business'];
  passages: Passage[];
  signatures: Signature[];
  groups: string[];
}

import { object, string, type InferType } from 'yup';
import type { RecordsFile } from '../records/recordsFile';
import type { Called, Letterhead, Passage, Shorthand, Signature } from '../template/template';
import type { Problem } from '../problems/problem';
import { LONGEST_WORDS } from '../template/text/tooLarge';
import type { OwnFile } from './files';
import { VERSION } from './numbers';

/** A template's words in their text form, to be kept as a new version: given to `/api/templates/<key>`. */
export const WORDS_TO_KEEP = object({
  /** the version they were written from */
  version: VERSION,
  text: string().required().max(LONGEST_WORDS, `These words are longer than ${LONGEST_WORDS} characters.`),
}).noUnknown();
export type WordsToKeep = InferType<typeof WORDS_TO_KEEP>;

/** What is being written of a template's next version, or null where it is thrown away: given to `/api/templates/<key>/draft`. */
export const DRAFT_TO_KEEP = object({
  /** the version it was begun from */
  version: VERSION,
  text: string()
    .nullable()
    .defined()
    .max(LONGEST_WORDS, `These words are longer than ${LONGEST_WORDS} characters.`),
}).noUnknown();
export type DraftToKeep = InferType<typeof DRAFT_TO_KEEP>;

/** The drafts of a template: a member's own, with when it was kept in milliseconds, and who else has one. */
export interface DraftsOfTemplate {
  own?: { version: number; text: string; at: number };
  others: { by: string; when: string }[];
}

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
  letterhead: Letterhead;
  files: OwnFile[];
  groups: Called[];
  /** who may get a trial, whoever writes first */
  members: { key: string; name: string }[];
  /** the email addresses of the business, its members and partners */
  addresses: string[];
  /** what turns into longer text while whoever writes types; absent: nothing */
  shorthand?: Shorthand[];
}

import { object, string, type InferType } from 'yup';
import { STARTING_POINTS } from '../records/recordKind';
import { LONGEST_WORDS } from '../template/text/tooLarge';
import { VERSION } from './numbers';

const NAME = string()
  .required('Give the passage a name.')
  .matches(/\S/, 'Give the passage a name.')
  .matches(/^[^{}|]*$/, 'A passage’s name has no braces and no “|”.')
  .max(100, 'A passage’s name has at most 100 characters.');

/** A passage to be made: given to `/api/passages`. */
export const NEW_PASSAGE = object({ name: NAME }).noUnknown();

/** A passage's words in their text form, to be kept: given to `/api/passages/<key>`. */
export const PASSAGE_TO_KEEP = object({
  /** the version they were written from */
  version: VERSION,
  name: NAME,
  text: string().defined().max(LONGEST_WORDS, `These words are longer than ${LONGEST_WORDS} characters.`),
  /** what its fields are judged by, beside the templates it stands in */
  startsFrom: string().oneOf(STARTING_POINTS, 'Choose what it is seen from.').required(),
}).noUnknown();
export type PassageToKeep = InferType<typeof PASSAGE_TO_KEEP>;

/** A passage to be removed: given to `/api/passages/<key>`. */
export const PASSAGE_REMOVAL = object({ version: VERSION }).noUnknown();

/** What came of making, keeping or removing a passage. */
export type PassageAnswer =
  | { result: 'done'; key: string; version: number }
  /** another passage has the name */
  | { result: 'taken'; error: string; field: 'name' }
  /** its words, or what they would make of a template, in sentences */
  | { result: 'wrong'; error: string; problems: string[] }
  | { result: 'overtaken'; error: string }
  /** it stands in templates */
  | { result: 'used'; error: string }
  | { result: 'gone'; error: string };

/** Where a passage stands. */
export interface PassageUses {
  templates: { key: string; name: string }[];
  passages: { key: string; name: string }[];
  /** how many templates that only others see */
  others: number;
}

/** A passage as it is written. */
export interface PassageToWrite {
  key: string;
  name: string;
  version: number;
  text: string;
  uses: PassageUses;
}

/** A passage in the list of them. */
export interface ListedPassage {
  key: string;
  name: string;
  /** its first words */
  begins: string;
  /** in how many templates it stands */
  uses: number;
}

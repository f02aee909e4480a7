import { object, string, type InferType } from 'yup';
import { STARTING_POINTS } from '../records/recordKind';
import { nameOf } from './named';
import { VERSION } from './numbers';
import { WORDS } from './words';

const NAME = nameOf('passage');

/** A passage to be made: given to `/api/passages`. */
export const NEW_PASSAGE = object({ name: NAME }).noUnknown();

/** A passage's words in their text form, to be kept: given to `/api/passages/<key>`. */
export const PASSAGE_TO_KEEP = object({
  /** the version they were written from */
  version: VERSION,
  name: NAME,
  text: WORDS,
  /** the group it stands in, by its key; null: none */
  group: string().min(1).max(100).nullable().defined(),
  /** what its fields are judged by, beside the templates it stands in */
  startsFrom: string().oneOf(STARTING_POINTS, 'Choose what it is seen from.').required(),
}).noUnknown();
export type PassageToKeep = InferType<typeof PASSAGE_TO_KEEP>;

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
  /** the group it stands in, by its key; null: none */
  group: string | null;
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
  /** the group it stands in, by its key; null: none */
  group: string | null;
}

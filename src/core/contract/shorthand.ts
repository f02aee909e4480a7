import { boolean, object, string, type InferType } from 'yup';
import { STARTING_POINTS } from '../records/recordKind';
import { VERSION } from './numbers';
import { WORDS } from './words';

/** The characters that are typed. */
const NAME = string()
  .required('Say which characters are typed.')
  .matches(/^\S+$/, 'The characters are written together, without a space.')
  .matches(/^[^{}|]*$/, 'There are no braces and no “|” among the characters.')
  .max(30, 'A shorthand has at most 30 characters.');

/** A shorthand to be made: given to `/api/shorthand`. */
export const NEW_SHORTHAND = object({
  name: NAME,
  /** whether it is the house's, and not its maker's own */
  house: boolean().required('Choose whose it is.'),
}).noUnknown();
export type NewShorthand = InferType<typeof NEW_SHORTHAND>;

/** What it says, in its text form, to be kept: given to `/api/shorthand/<key>`. */
export const SHORTHAND_TO_KEEP = object({
  /** the version it was written from */
  version: VERSION,
  name: NAME,
  text: WORDS,
  /** the group it stands in, by its key; null: none */
  group: string().min(1).max(100).nullable().defined(),
  /** what its fields are judged by */
  startsFrom: string().oneOf(STARTING_POINTS, 'Choose what it is seen from.').required(),
}).noUnknown();
export type ShorthandToKeep = InferType<typeof SHORTHAND_TO_KEEP>;

/** A shorthand in the list of them. */
export interface ListedShorthand {
  key: string;
  name: string;
  /** its first words */
  begins: string;
  /** whether it is one's own, and not the house's */
  own: boolean;
  /** the group it stands in, by its key; null: none */
  group: string | null;
}

/** A shorthand as it is written. */
export interface ShorthandToWrite extends Omit<ListedShorthand, 'begins'> {
  version: number;
  text: string;
}

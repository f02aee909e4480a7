import { boolean, object, type InferType } from 'yup';
import { nameOf } from './named';
import { VERSION } from './numbers';
import { WORDS } from './words';

// A template that wants no signature says "none".
const NAME = nameOf('signature').test(
  'not-none',
  'A signature cannot be called “none”.',
  (name) => name?.trim().toLowerCase() !== 'none',
);

/** A signature to be made: given to `/api/signatures`. */
export const NEW_SIGNATURE = object({
  name: NAME,
  /** whether it is the house's, filled with whoever writes, and not its maker's own */
  house: boolean().required('Choose whose it is.'),
}).noUnknown();
export type NewSignature = InferType<typeof NEW_SIGNATURE>;

/** A signature's words in their text form, to be kept: given to `/api/signatures/<key>`. */
export const SIGNATURE_TO_KEEP = object({
  /** the version they were written from */
  version: VERSION,
  name: NAME,
  text: WORDS,
  usual: boolean().required('Choose whether it is the usual one.'),
}).noUnknown();
export type SignatureToKeep = InferType<typeof SIGNATURE_TO_KEEP>;

/** A signature in the list of them. */
export interface ListedSignature {
  key: string;
  name: string;
  /** its first words */
  begins: string;
  /** whose: a member's full name; absent: the house's */
  whose?: string;
  usual: boolean;
  /** how many templates ask for it by name */
  uses: number;
}

/** A signature as it is written. */
export interface SignatureToWrite extends Omit<ListedSignature, 'begins' | 'uses'> {
  version: number;
  text: string;
  /** the templates that ask for it and are seen by whoever writes */
  templates: { key: string; name: string }[];
  /** how many that only others see */
  others: number;
}

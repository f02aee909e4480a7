import { object, type InferType } from 'yup';
import { VERSION } from './numbers';
import { WORDS } from './words';

/** A part of the letterhead in its text form, to be kept: given to `/api/letterhead/<part>`. */
export const LETTERHEAD_TO_KEEP = object({
  /** the version it was written from */
  version: VERSION,
  text: WORDS,
}).noUnknown();
export type LetterheadToKeep = InferType<typeof LETTERHEAD_TO_KEEP>;

import { object, string, type InferType } from 'yup';
import { CURES, type Cure, type Undo } from '../cures/cures';
import { VERSION } from './numbers';
import type { Refusal } from './refusal';

/** Something to be done about a letter that did not go as it should: given to `/api/letters/<id>/cure`. */
export const CURE = object({
  cure: string<Cure | Undo>()
    .oneOf(Object.keys(CURES) as (Cure | Undo)[])
    .required(),
  version: VERSION,
}).noUnknown();
export type CureRequest = InferType<typeof CURE>;

/** What the letter is now, or why nothing was done. */
export type CureAnswer = { status: string; version: number; error?: undefined } | Refusal;

import { object, string, type InferType } from 'yup';

/** Until when an occasion is put off. */
const RESTS = ['next working day', 'next week', 'for good'] as const;
export type Rest = (typeof RESTS)[number];

const OCCASION = string().required().max(200);

/** An occasion that is put off, or needs no letter: given to `/api/occasions`. */
export const OCCASION_TO_REST = object({
  occasion: OCCASION,
  rest: string<Rest>().oneOf(RESTS).required(),
}).noUnknown();
export type OccasionToRest = InferType<typeof OCCASION_TO_REST>;

/** One that stands on Today again. */
export const OCCASION_TO_WAKE = object({ occasion: OCCASION }).noUnknown();
export type OccasionToWake = InferType<typeof OCCASION_TO_WAKE>;

import { array, object, string, type InferType } from 'yup';
import { FACTS_TO_PUT_RIGHT } from '../../writing/sourceOf';

/** Facts of a client that are put right beside a letter: given to `/api/clients/<key>/facts`. */
export const PUT_RIGHT = object({
  /** `contact:hale`, `item:upright`; absent: the client */
  of: string().max(200),
  facts: array(
    object({
      fact: string().oneOf(FACTS_TO_PUT_RIGHT).required(),
      /** as it was seen: what somebody else has changed since is not overwritten */
      was: string().defined().max(500),
      now: string().defined().max(500),
    }).noUnknown(),
  )
    .required()
    .min(1)
    .max(FACTS_TO_PUT_RIGHT.length),
}).noUnknown();
export type PutRight = InferType<typeof PUT_RIGHT>;

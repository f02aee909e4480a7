import { object, string, type InferType } from 'yup';

/** What is done about signing for a domain: given to `/api/signing-keys/<domain>`. */
export const SIGNING_ACT = object({
  act: string().oneOf(['make', 'look', 'take out']).required(),
}).noUnknown();
export type SigningAct = InferType<typeof SIGNING_ACT>['act'];

/** A domain that letters come from, and how they are signed for it. */
export interface SigningDomain {
  domain: string;
  /** the line that its names have to have; absent: there is no key */
  line?: { name: string; value: string };
  /** the line was seen, in the business's form; until then nothing is signed */
  seen?: string;
}

/** What came of it. */
export type SigningAnswer =
  | { result: 'done' }
  | { result: 'looked'; found: 'there' | 'not there' | 'another' | 'not answered' }
  | { result: 'gone' | 'wrong'; error: string };

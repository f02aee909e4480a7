import { array, object, string, type InferType } from 'yup';
import { MERGED_FACTS } from '../work/mergeFacts';
import { VERSION } from './numbers';
import { recordKey } from './records/parts';
import type { Refusal } from './refusal';

/** Another record of the same client, which goes into this one: given to `/api/clients/<key>/merge`. */
export const MERGE_CLIENT = object({
  version: VERSION,
  gone: recordKey().required(),
  goneVersion: VERSION,
  /** the facts that are taken from the other */
  take: array(string().oneOf(MERGED_FACTS).required()).required().max(MERGED_FACTS.length),
}).noUnknown();
export type MergeClient = InferType<typeof MERGE_CLIENT>;

/** Making two of them again: given to the same place. */
export const UNMERGE_CLIENT = object({ id: string().uuid().required() }).noUnknown();

/** @property key of the client to look at */
export type MergeAnswer = { key: string; error?: undefined } | Refusal;

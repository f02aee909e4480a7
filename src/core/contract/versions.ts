import { object, type InferType } from 'yup';
import type { changedHead, ComparedWords } from '../describe/compareVersions';
import { VERSION } from './numbers';

/** A version of a template, as its history lists it. */
export interface VersionEntry {
  version: number;
  /** who kept it; absent: it came with the business */
  by?: string;
  /** in words */
  when: string;
}

/** A version beside the one that stands: answered by `/api/templates/<key>/versions/<version>`. */
export interface VersionCompared {
  head: ReturnType<typeof changedHead>;
  words: ComparedWords[];
}

/** An earlier version to be brought back: given to the same. */
export const BRING_BACK = object({
  /** the version that stands, as it was shown */
  standing: VERSION,
}).noUnknown();
export type BringBack = InferType<typeof BRING_BACK>;

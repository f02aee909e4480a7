import type { Filled } from '../fill/filled';
import type { Situation } from '../records/which/situation';

/** A stop must be cured before the letter goes; a query may be let stand. */
export interface ProofMark {
  kind: 'stop' | 'query';
  message: string;
}

/** One check of a fair copy. */
export type Check = (filled: Filled, situation: Situation) => ProofMark[];

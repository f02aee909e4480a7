import type { Situation } from '../records/which/situation';

/** A stop must be cured before the letter goes; a query may be let stand. */
export interface ProofMark {
  kind: 'stop' | 'query';
  message: string;
}

/** What is checked: a filled template, or the page as its writer has left it. */
export interface Proofed {
  subject: string;
  /** what is still missing, each with its reason in words */
  holes: readonly { reason: string }[];
}

/** One check of a fair copy. */
export type Check = (letter: Proofed, situation: Situation) => ProofMark[];

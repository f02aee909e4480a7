import type { Filled } from '../fill/filled';
import type { Situation } from '../records/which/situation';
import { checkAddressees } from './addressees';
import { checkHoles } from './holes';

/** A stop must be cured before the letter goes; a query may be let stand. */
export interface ProofMark {
  kind: 'stop' | 'query';
  message: string;
}

/** One check of a fair copy. */
export type Check = (filled: Filled, situation: Situation) => ProofMark[];

const CHECKS: readonly Check[] = [checkAddressees, checkHoles];

/** The checks on a fair copy before it goes. */
export function proof(filled: Filled, situation: Situation): ProofMark[] {
  return CHECKS.flatMap((check) => check(filled, situation));
}

import type { Filled } from '../fill/filled';
import type { Situation } from '../records/which/situation';
import { checkAddressees } from './addressees';
import { checkHoles } from './holes';
import type { Check, ProofMark } from './proofMark';

const CHECKS: readonly Check[] = [checkAddressees, checkHoles];

/** The checks on a fair copy before it goes. */
export function proof(filled: Filled, situation: Situation): ProofMark[] {
  return CHECKS.flatMap((check) => check(filled, situation));
}

import type { Situation } from '../records/which/situation';
import { checkAddressees } from './addressees';
import { checkHoles } from './holes';
import type { Check, Proofed, ProofMark } from './proofMark';
import { checkSubject } from './subject';

const CHECKS: readonly Check[] = [checkAddressees, checkSubject, checkHoles];

/** The checks on a fair copy before it goes. */
export function proof(letter: Proofed, situation: Situation): ProofMark[] {
  return CHECKS.flatMap((check) => check(letter, situation));
}

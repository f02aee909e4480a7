import type { Situation } from '../records/which/situation';
import { checkAddressees } from './addressees';
import { checkAttachments } from './attachments';
import { checkCalledOff } from './calledOff';
import { checkFit } from './fit';
import { checkHoles } from './holes';
import { checkNegatives } from './negatives';
import { checkNoLetters } from './noLetters';
import { checkNothingOwed } from './nothingOwed';
import { checkOutsiders } from './outsiders';
import type { Check, Proofed, ProofMark } from './proofMark';
import { checkSender } from './sender';
import { checkSigned } from './signed';
import { checkSubject } from './subject';

const CHECKS: readonly Check[] = [
  checkNoLetters,
  checkAddressees,
  checkSender,
  checkSigned,
  checkSubject,
  checkHoles,
  checkAttachments,
  checkFit,
  checkCalledOff,
  checkNothingOwed,
  checkNegatives,
  checkOutsiders,
];

/** The checks on a fair copy before it goes: stops first, then queries. */
export function proof(letter: Proofed, situation: Situation): ProofMark[] {
  const marks = CHECKS.flatMap((check) => check(letter, situation));
  return [...marks.filter(({ kind }) => kind === 'stop'), ...marks.filter(({ kind }) => kind === 'query')];
}

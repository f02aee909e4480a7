import type { CopyDocument } from '../document/copyDocument';
import type { LookedUp, ProofMark } from '../proof/proofMark';
import { heldDays, type HeldDays } from './heldDays';
import type { ToLookUp } from './isAnythingToLookUp';
import { proofLetter } from './proofLetter';
import { toLookUp } from './toLookUp';
import type { FilledLetter } from './writingDesk';

/** What is found in a letter's words as they stand. */
export interface LookedOver {
  /** what the proof says */
  marks: ProofMark[];
  /** the days that it offers; absent: it offers none */
  holds?: HeldDays;
  /** what of it only the server knows */
  toLookUp: ToLookUp;
}

/** Looks a letter over that is being written. @param known what was looked up for it before */
export function lookOver(document: CopyDocument, filled: FilledLetter, known: LookedUp): LookedOver {
  const holds = heldDays(document, filled);
  return {
    marks: proofLetter(document, filled, known).marks,
    ...(holds ? { holds } : {}),
    toLookUp: toLookUp(document, filled),
  };
}

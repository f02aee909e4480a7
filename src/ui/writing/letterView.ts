import type { Addressing } from '../../core/addressing/addressingOf';
import type { BothChanged } from '../../core/fairCopy/bothChanged';
import type { Place, ProofMark } from '../../core/proof/proofMark';
import type { HeldDays } from '../../core/writing/heldDays';
import type { Choices, Letter } from '../../core/writing/letter';
import type { MarginNote } from '../../core/writing/marginOf';
import type { FilledLetter } from '../../core/writing/writingDesk';

/** What everything around the page needs of a letter. Words typed between the fields do not change it. */
export interface LetterView {
  choices: Choices;
  /** as it fills by rule and choice, before any change by hand */
  filled: FilledLetter;
  notes: MarginNote[];
  /** absent until it has been looked over for the first time */
  marks?: ProofMark[];
  addressing: Addressing;
  /** the days that it offers; absent: it offers none */
  holds?: HeldDays;
  /** what its writer changed and the template or a record has changed since; absent: nothing */
  both?: BothChanged[];
}

/** A letter at one moment, to be kept or sent. */
export interface LetterNow extends Letter {
  filled: FilledLetter;
}

/** The page, once the editor is there. */
export interface Page {
  read: () => Letter;
  show: (letter: Letter) => void;
  /** which block the caret stands in, the subject being the first */
  caret: () => number;
  /** selects words */
  goTo: (place: Place) => void;
}

/** Whether two views of the same filling show the same. */
export function sameView(a: LetterView, b: LetterView): boolean {
  const shown = ({ notes, marks, holds, both }: LetterView) => JSON.stringify([notes, marks, holds, both]);
  return shown(a) === shown(b);
}

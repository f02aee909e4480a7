import type { Step } from '../document/step';

/** A fact that words of a letter may say, and the form in which a field would say it. */
export interface Said {
  path: string;
  steps: Step[];
  /** what that field says for the same records */
  says: string;
  /** whose fact it is and what it is called: “Visit, start” */
  label: string;
}

/** A client’s fact that was found in a letter. */
export interface Find extends Said {
  /** where, in UTF-16 units of the text */
  start: number;
  end: number;
  words: string;
  /** 0 to 1 */
  certainty: number;
  /** other facts that the same words say, the likelier first */
  others: Said[];
}

/** From here on a find is taken with the others, in one press; one below it is asked about. */
export const CERTAIN = 0.9;
/** Below this nothing is said of it. */
export const DOUBTFUL = 0.5;

/** Whether no step writes the very words: the field says the fact in the nearest form. */
export function isOtherForm({ words, says }: Find): boolean {
  return words !== says;
}

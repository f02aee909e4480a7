import { foldText } from '../searching/foldText';

/** A word or number of a text. */
export interface Word {
  /** without case, accents and apostrophes */
  folded: string;
  from: number;
  to: number;
}

const WORD = /[\p{L}\p{M}]+|\p{N}+/gu;

/** The words of a text, and numbers by themselves: “O’Connell” has two, “LPC-1048” too. */
export function wordsIn(text: string): Word[] {
  const words: Word[] = [];
  for (const match of text.matchAll(WORD))
    words.push({ folded: foldText(match[0]), from: match.index, to: match.index + match[0].length });
  return words;
}

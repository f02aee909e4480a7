import { foldText } from './foldText';

/** What stands around a word, not in it. */
const EDGES = /^[^\p{L}\p{N}]+|[^\p{L}\p{N}]+$/gu;
const INSIDE = /[^\p{L}\p{N}]+/u;
/** Digits that go on after a space are one number as well: a telephone number, a postcode. */
const SPACED_DIGITS = /\+?\d[\d ()-]{5,20}\d/g;
const NUMBER_FROM_ABROAD = /^\s*\+\d[\d ()-]{4,30}$/;
/** A few digits are a day, a time, a count: whole words. More may be a piece of a number. */
export const FEW_DIGITS = 2;
/** A number that is long enough to be looked for in parts: a telephone number. */
export const LONG_NUMBER = 5;

/**
 * A text made ready to be searched, once: its words folded, each between spaces, and what is written with a dash or a
 * space found without it too (“LPC-1048” as “lpc1048”).
 */
export function searchable(...texts: (string | null | undefined)[]): string {
  const words: string[] = [];
  for (const text of texts) {
    if (!text) continue;
    const folded = foldText(text);
    for (const raw of folded.split(/\s+/)) {
      const word = raw.replace(EDGES, '');
      if (!word) continue;
      words.push(word);
      const joined = word.replace(/[-–/.]/g, '');
      if (joined !== word && !/^\d+[.:]\d+$/.test(word)) words.push(joined);
    }
    for (const [number] of folded.matchAll(SPACED_DIGITS)) words.push(number.replace(/\D/g, ''));
  }
  return ` ${words.join(' ')} `;
}

/** What is looked for: its words, all of which must be there, in whatever order. */
export function wordsWanted(search: string): string[] {
  if (NUMBER_FROM_ABROAD.test(search)) return [search.replace(/\D/g, '')];
  return foldText(search)
    .split(/\s+/)
    .map((word) => word.replace(EDGES, ''))
    .filter(Boolean);
}

/** Whether a text that was made ready has every word that is wanted. */
export function hasWords(ready: string, wanted: readonly string[]): boolean {
  return wanted.every((word) => hasWord(ready, word) || hasWithoutDashes(ready, word));
}

function hasWithoutDashes(ready: string, word: string): boolean {
  const joined = word.split(INSIDE).join('');
  return joined !== word && !/^\d+:\d+$/.test(word) && hasWord(ready, joined);
}

/**
 * Letters are found wherever they stand in a word, as people look for “überholung” in a longer one. A number is a
 * whole word, or begins or continues a long one: “30” is not in “09:30” nor in “130”, “7946” is in a telephone number.
 */
function hasWord(ready: string, word: string): boolean {
  if (!/^\d+$/.test(word)) return ready.includes(word);
  if (ready.includes(` ${word} `)) return true;
  if (word.length <= FEW_DIGITS) return false;
  for (let at = ready.indexOf(word); at >= 0; at = ready.indexOf(word, at + 1)) {
    const start = ready.lastIndexOf(' ', at) + 1;
    if (ready.indexOf(' ', at) - start >= LONG_NUMBER) return true;
  }
  return false;
}

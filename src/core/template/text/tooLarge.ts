/** The most characters, lines and opening brackets of a template's words: far above any letter, and read at once. */
export const LONGEST_WORDS = 64_000;
const MOST_LINES = 2_000;
const MOST_BRACKETS = 1_000;

/** Why a template's words are not read at all, in words; undefined: they may be read. */
export function tooLarge(text: string): string | undefined {
  if (text.length > LONGEST_WORDS) return `These words are longer than ${LONGEST_WORDS} characters.`;
  if (text.split('\n').length > MOST_LINES) return `These words have more than ${MOST_LINES} lines.`;
  if (text.split('[').length > MOST_BRACKETS)
    return `These words have more than ${MOST_BRACKETS} opening brackets.`;
  return undefined;
}

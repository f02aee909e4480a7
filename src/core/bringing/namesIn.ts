/** A name has so many words at most. */
const LONGEST = 6;
/** So many words of a title are looked at. */
const MOST_WORDS = 30;

/**
 * Every run of words of a text that may be a client's name, in small letters: of "Tuning, Ada Reyes" "ada reyes" is one, and "reyes"
 * may be a last one.
 */
export function namesIn(text: string): string[] {
  const plain = text.toLowerCase().trim().replace(/\s+/g, ' ');
  const words = plain
    .split(/[^\p{L}\p{N}'’.&-]+/u)
    .map((word) => word.replace(/^[-.'’]+|[-.'’]+$/g, ''))
    .filter(Boolean)
    .slice(0, MOST_WORDS);
  const names = new Set(plain ? [plain] : []);
  for (let from = 0; from < words.length; from++)
    for (let to = from + 1; to <= Math.min(words.length, from + LONGEST); to++)
      names.add(words.slice(from, to).join(' '));
  return [...names];
}

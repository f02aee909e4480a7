/** Letters whose names begin with a vowel sound: an MOT, an X-ray. */
const SPOKEN_WITH_VOWEL = /^[AEFHILMNORSX]/;

/** Words that already have what an article would stand for. */
const DETERMINED = /^(?:an?|the|your|our|my|his|her|their|this|that|some|any|no)\s/i;

/** Written with a vowel, spoken with a consonant: a university, a European, a one-off, a ukulele. */
const SPOKEN_WITH_CONSONANT = /^(?:eu|ewe|uni(?!n|m)|unanim|u[bckrstv][aeiou]|uk|one(?![ir])|once|ouija)/i;

/** Written with an h that is not spoken: an hour, an honest word, an heirloom. */
const SILENT_H = /^(?:hour|honest|honou?r|heir)/i;

/**
 * English words with the indefinite article that their sound asks for: "an action repair", "a tuning visit",
 * "an 8-day hire". What already has an article or its like stays as it is.
 */
export function withArticle(words: string): string {
  const word = /[\p{L}\p{N}][\p{L}\p{N}.,'’-]*/u.exec(words)?.[0];
  if (!word || DETERMINED.test(words)) return words;
  return `${startsWithVowelSound(word) ? 'an' : 'a'} ${words}`;
}

function startsWithVowelSound(word: string): boolean {
  // eight, eighty, eight hundred …; eleven and eighteen, also of thousands, but not 110 or 1,100.
  const digits = /^\d+/.exec(word.replaceAll(',', ''))?.[0];
  if (digits) return digits[0] === '8' || (/^1[18]/.test(digits) && digits.length % 3 === 2);
  // Letters read one by one: those before a stop, a hyphen or the end, all of them capitals.
  if (/^\p{Lu}(?:[.-]|$)|^\p{Lu}{2,}(?!\p{Ll})/u.test(word)) return SPOKEN_WITH_VOWEL.test(word);
  if (SILENT_H.test(word)) return true;
  return /^[aeiouàáâäèéêëìíîïòóôöøœæùúû]/i.test(word) && !SPOKEN_WITH_CONSONANT.test(word);
}

/** ISO 15924 codes of scripts that are written from right to left. */
const RIGHT_TO_LEFT = new Set('Adlm Arab Hebr Mand Nkoo Rohg Samr Syrc Thaa'.split(' '));

/** What was asked lately: letter after letter is in the same few languages. */
const known = new Map<string, 'ltr' | 'rtl'>();
const MOST_KNOWN = 100;

/** Which way a language is written, by the script that CLDR expects of it. */
export function directionOf(language: string): 'ltr' | 'rtl' {
  let direction = known.get(language);
  if (direction === undefined) {
    const { script } = new Intl.Locale(language).maximize();
    direction = script && RIGHT_TO_LEFT.has(script) ? 'rtl' : 'ltr';
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(language, direction);
  }
  return direction;
}

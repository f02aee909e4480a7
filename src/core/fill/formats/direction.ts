/** ISO 15924 codes of scripts that are written from right to left. */
const RIGHT_TO_LEFT = new Set('Adlm Arab Hebr Mand Nkoo Rohg Samr Syrc Thaa'.split(' '));

/** Which way a language is written, by the script that CLDR expects of it. */
export function directionOf(language: string): 'ltr' | 'rtl' {
  const { script } = new Intl.Locale(language).maximize();
  return script && RIGHT_TO_LEFT.has(script) ? 'rtl' : 'ltr';
}

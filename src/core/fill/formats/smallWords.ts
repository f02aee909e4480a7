import type { Formats } from './formats';

/** The few words that Intl does not know, by language. English stands in for a language that is not here. */
interface SmallWords {
  yes: string;
  no: string;
  /** one to twelve */
  numbers: readonly string[];
}

const WORDS: Readonly<Record<string, SmallWords>> = {
  en: {
    yes: 'yes',
    no: 'no',
    numbers: 'one two three four five six seven eight nine ten eleven twelve'.split(' '),
  },
  de: {
    yes: 'ja',
    no: 'nein',
    numbers: 'eins zwei drei vier fünf sechs sieben acht neun zehn elf zwölf'.split(' '),
  },
  fr: {
    yes: 'oui',
    no: 'non',
    numbers: 'un deux trois quatre cinq six sept huit neuf dix onze douze'.split(' '),
  },
};

/** A whole number from one to twelve as a word, any other in digits. */
export function numberInWords(value: number, formats: Formats): string {
  const { numbers } = smallWords(formats.settings.locale);
  return (Number.isInteger(value) && numbers[value - 1]) || formats.decimal(value);
}

/** The small words of a language; English ones where it is not known. */
export function smallWords(locale: string): SmallWords {
  const language = locale.split('-')[0]!;
  return (Object.hasOwn(WORDS, language) ? WORDS[language] : undefined) ?? WORDS.en!;
}

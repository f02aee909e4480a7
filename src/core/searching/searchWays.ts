import { getCountryCallingCode, type CountryCode } from 'libphonenumber-js/core';
import { countries } from '#phone-countries';
import { countryOf } from '../fill/formats/address';
import { FEW_DIGITS, LONG_NUMBER, wordsWanted } from './finder';
import { foldText } from './foldText';

/** One way in which a word may stand in words made ready to be searched: a pattern of SQL's LIKE, and a regular expression. */
export interface SearchWay {
  like: string;
  match?: string;
}

/** So few letters are looked for where words begin. */
const FEW_LETTERS = 2;
/** So many digits may be a telephone number. */
const TELEPHONE = 7;

/**
 * What a search looks for in a database, each word with the ways in which it may stand there: as `hasWords` of finder.ts
 * finds it, and telephone numbers with or without their country, days and months in the language of the business.
 * @param home the business's locale
 */
export function searchWays(search: string, home: string): SearchWay[][] {
  return wordsWanted(search).map((word) => formsOf(word, home).map(wayOf));
}

/**
 * The same for a text search of whole words and their beginnings, as PostgreSQL's to_tsquery reads each form: "lpc:* &
 * 1048:*", "lpc1048:*". A few digits are a whole word.
 */
export function searchForms(search: string, home: string): string[][] {
  return wordsWanted(search).flatMap((word) => {
    const forms = formsOf(word, home).flatMap((form) => {
      const pieces = form.match(/[\p{L}\p{N}]+/gu) ?? [];
      const lexemes = pieces.map((piece) =>
        isNumber(piece) && piece.length <= FEW_DIGITS ? piece : `${piece}:*`,
      );
      return lexemes.length ? [lexemes.join(' & ')] : [];
    });
    return forms.length ? [forms] : [];
  });
}

function wayOf(form: string): SearchWay {
  if (!isNumber(form)) {
    const like = form.replace(/[\\%_]/g, '\\$&');
    return { like: form.length > FEW_LETTERS ? `%${like}%` : `% ${like}%` };
  }
  if (form.length <= FEW_DIGITS) return { like: `% ${form} %` };
  const like = `%${form}%`;
  const around = LONG_NUMBER - form.length;
  if (around <= 0) return { like };
  // A whole word, or a piece of a long one: so many letters before it, the others behind. To look ahead is slow there.
  const inLong = Array.from({ length: around + 1 }, (_, n) => `[^ ]{${n}}${form}[^ ]{${around - n}}`);
  return { like, match: [`(^| )${form}( |$)`, ...inLong].join('|') };
}

function isNumber(word: string): boolean {
  return /^\d+$/.test(word);
}

function formsOf(word: string, home: string): string[] {
  const forms = new Set([word]);
  const joined = word.replace(/[^\p{L}\p{N}]+/gu, '');
  if (!/^\d+:\d+$/.test(word) && joined) forms.add(joined);
  const english = inEnglish(word, home);
  if (english) forms.add(english);
  if (isNumber(joined) && joined.length >= TELEPHONE) forms.add(withoutCountry(joined, home));
  return [...forms];
}

/** "01632960136" and "441632960136" as what they have in common. */
function withoutCountry(digits: string, home: string): string {
  const code = getCountryCallingCode(countryOf(home) as CountryCode, countries);
  return digits.replace(new RegExp(`^(?:00${code}|${code}|0)`), '');
}

const known = new Map<string, Map<string, string>>();

/** A month or a day of the week in the language of the business, as the database writes it. */
function inEnglish(word: string, home: string): string | undefined {
  let words = known.get(home);
  if (!words) {
    words = new Map();
    for (const [options, from] of [
      [{ month: 'long' }, (n: number) => Date.UTC(2026, n, 15)],
      [{ weekday: 'long' }, (n: number) => Date.UTC(2026, 0, n + 1)],
    ] as const) {
      const [own, english] = [home, 'en'].map(
        (locale) => new Intl.DateTimeFormat(locale, { ...options, timeZone: 'UTC' }),
      );
      for (let n = 0; n < 12; n++)
        words.set(foldText(own!.format(from(n))), foldText(english!.format(from(n))));
    }
    known.set(home, words);
  }
  return words.get(word);
}

/** Small words that only one of the languages has. */
const SMALL: Readonly<Record<string, ReadonlySet<string>>> = {
  en: new Set(
    'the and you your we our is are with for this that have has will of to it be at from by please'.split(
      ' ',
    ),
  ),
  de: new Set(
    'und der die das sie ihr ihre ihnen wir uns ist sind mit für dass haben hat wird nicht ein eine bitte am im zu von'.split(
      ' ',
    ),
  ),
  fr: new Set(
    'et le la les vous votre nous notre est sont avec pour que une un des du au ne pas sera merci dans sur'.split(
      ' ',
    ),
  ),
};

/** Fewer small words than these tell no language, nor where they are a smaller part of all words: other languages have some of them, too. */
const ENOUGH = 6;
const SHARE = 0.15;

/** In which of English, German and French a text is written, by its small words; undefined where they do not tell. */
export function languageGuessed(text: string): string | undefined {
  const words = text.toLowerCase().match(/\p{L}+/gu) ?? [];
  const counted = Object.entries(SMALL)
    .map(([language, small]) => ({ language, count: words.filter((word) => small.has(word)).length }))
    .sort((a, b) => b.count - a.count);
  const [first, second] = counted;
  const tells = first!.count >= ENOUGH && first!.count >= SHARE * words.length;
  return tells && first!.count > 2 * second!.count ? first!.language : undefined;
}

/** The language of a text where it tells it, and it is not the one of a business. @param home the business’s locale, BCP 47 */
export function otherLanguage(text: string, home: string): string | undefined {
  const guessed = languageGuessed(text);
  return guessed === home.slice(0, 2).toLowerCase() ? undefined : guessed;
}

import { withArticle } from '../formats/article';
import { form, type StepTable } from './meaning';

const LETTER = /\p{L}/u;

/** Case follows the letter's language; title and sentence leave all other letters alone. */
export const TEXT_STEPS: StepTable = {
  upper: form((text: string, run) => text.toLocaleUpperCase(run.formats.settings.locale)),
  lower: form((text: string, run) => text.toLocaleLowerCase(run.formats.settings.locale)),
  title: form((text: string, run) =>
    text.replace(
      /(^|[\s(“"/-])(\p{Ll})/gu,
      (_, before: string, letter: string) => before + upper(letter, run.formats.settings.locale),
    ),
  ),
  sentence: form((text: string, run) =>
    text.replace(LETTER, (letter) => upper(letter, run.formats.settings.locale)),
  ),
  'with article': form((text: string, run) =>
    run.formats.settings.locale.split('-')[0] === 'en' ? withArticle(text) : text,
  ),
  initials: form((text: string, run) =>
    text
      .split(/[\s-]+/u)
      .flatMap((word) => LETTER.exec(word)?.[0] ?? [])
      .map((letter) => upper(letter, run.formats.settings.locale))
      .join(''),
  ),
};

function upper(letter: string, locale: string): string {
  return letter.toLocaleUpperCase(locale);
}

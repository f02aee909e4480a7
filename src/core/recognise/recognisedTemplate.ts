import type { StartingKind } from '../records/recordKind';
import { NO_SUBJECT } from '../template/noSubject';
import type { Template } from '../template/template';
import type { Find } from './find';
import type { LetterText } from './letterText';
import { fieldOf, placeFields } from './placeFields';

/** Where a template goes that nobody has sorted yet. */
const GROUP = 'From letters';
const NAMELESS = 'From a letter';
/** Cut where it is longer, in UTF-16 units. */
const LONGEST_NAME = 50;
/** A line of fewer words greets, or signs. */
const SOME_WORDS = 3;

/**
 * The template that a letter becomes when fields stand in the place of the client’s facts.
 * @param finds those that are taken
 * @param language BCP 47, where it is not the business’s
 */
export function recognisedTemplate(
  letter: LetterText,
  finds: readonly Find[],
  { startsFrom, language }: { startsFrom: StartingKind; language?: string | undefined },
): Template {
  const { subject, document } = placeFields(letter, finds.map(fieldOf));
  return {
    head: {
      name: nameOf(letter, finds),
      group: GROUP,
      startsFrom,
      subject: subject.length ? subject : NO_SUBJECT,
      ...(language === undefined ? {} : { language }),
    },
    document,
  };
}

/** What its subject says, or else the first of its lines that has no facts; nobody’s facts are in a name. */
function nameOf({ text, subject, begins }: LetterText, finds: readonly Find[]): string {
  const said = (from: number, to: number) => inLabels(text, from, to, finds);
  const from = begins.get(subject);
  const ofSubject = from === undefined ? '' : said(from, endOfLine(text, from));
  if (/\p{L}{3}/u.test(ofSubject)) return shortened(ofSubject);
  for (let at = from === undefined ? 0 : endOfLine(text, from) + 1; at < text.length;) {
    const end = endOfLine(text, at);
    const words = text.slice(at, end);
    const hasFacts = finds.some((find) => find.start < end && find.end > at);
    if (!hasFacts && (words.match(/\p{L}{3,}/gu) ?? []).length >= SOME_WORDS) return shortened(words.trim());
    at = end + 1;
  }
  return NAMELESS;
}

function endOfLine(text: string, from: number): number {
  const end = text.indexOf('\n', from);
  return end < 0 ? text.length : end;
}

/** Whole words, as many as a name may have. */
function shortened(words: string): string {
  if (words.length <= LONGEST_NAME) return words;
  return words.slice(0, LONGEST_NAME).replace(/[\s\p{P}]+\S*$/u, '') || words.slice(0, LONGEST_NAME);
}

/** Words with what each fact is called in its place: “Invoice number is still open”. */
function inLabels(text: string, from: number, to: number, finds: readonly Find[]): string {
  let said = '';
  let at = from;
  for (const { start, end, label } of finds) {
    if (end <= from || start >= to) continue;
    said += text.slice(at, start) + label.split(', ').at(-1)!;
    at = Math.max(at, end);
  }
  return (said + text.slice(at, Math.max(at, to)))
    .replace(/\s+/gu, ' ')
    .replace(/^[\s,.;:–-]+|[\s,;:–-]+$/gu, '');
}

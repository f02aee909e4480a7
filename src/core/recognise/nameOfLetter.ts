import type { Find } from './find';
import type { LetterText } from './letterText';

const NAMELESS = 'From a letter';
/** Cut where it is longer, in UTF-16 units. */
const LONGEST_NAME = 50;
/** A line of fewer words greets, or signs. */
const SOME_WORDS = 3;

/** What is done: a name says of what kind of record it is, as the template is for all of them. */
const SERVICE = /\.service$/;

/** What leads to a fact and says nothing without it, in the languages that are read. */
const LEADING = new RegExp(
  `(?:^|[\\s(])(?:${[
    'on|at|for|from|by|of|until|till|to|with|before|after|since|in|about|between|and|or|the|a|an',
    'am|um|für|vom|von|bis|zum|zur|zu|mit|ab|seit|im|über|zwischen|und|oder|der|die|das|den|dem|des',
    'le|la|les|à|au|aux|de|du|pour|avec|avant|après|depuis|dans|entre|et|ou|un|une',
  ].join('|')})\\s*$`,
  'iu',
);

/**
 * What a template that is made of a letter may be called: what the letter's subject says without its facts, or else the first of its
 * lines that has none; nobody's facts are in a name.
 */
export function nameOfLetter({ text, subject, begins }: LetterText, finds: readonly Find[]): string {
  const from = begins.get(subject);
  const ofSubject = from === undefined ? '' : withoutFacts(text, from, endOfLine(text, from), finds);
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

/** Words with no fact in them: “Invoice is still open”, “Your visit”. */
function withoutFacts(text: string, from: number, to: number, finds: readonly Find[]): string {
  let said = '';
  let at = from;
  for (const { start, end, path, label } of finds) {
    if (end <= from || start >= to) continue;
    said += text.slice(at, start);
    if (SERVICE.test(path)) said += label.split(', ')[0]!.toLowerCase();
    else while (LEADING.test(said)) said = said.replace(LEADING, '');
    at = Math.max(at, end);
  }
  const name = (said + text.slice(at, Math.max(at, to)))
    .replace(/\s+/gu, ' ')
    .replace(/ (?=[,.;:!?])/gu, '')
    .replace(/^[\s\p{Pd},.;:]+|[\s\p{Pd},;:]+$/gu, '');
  return name.charAt(0).toUpperCase() + name.slice(1);
}

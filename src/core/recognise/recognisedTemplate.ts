import type { StartingKind } from '../records/recordKind';
import type { Template } from '../template/template';
import type { Find } from './find';
import type { LetterText } from './letterText';
import { fieldOf, placeFields } from './placeFields';

/** Where a template goes that nobody has sorted yet. */
const GROUP = 'From letters';
const NAMELESS = 'From a letter';
const LONGEST_NAME = 60;

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
      subject,
      ...(language === undefined ? {} : { language }),
    },
    document,
  };
}

/** What its subject, or else its first line, says beside the facts: “Invoice is still open”. */
function nameOf({ text, subject, begins, document }: LetterText, finds: readonly Find[]): string {
  const [first] = document.content;
  const lines = [subject, first && 'content' in first ? first.content : []];
  for (const line of lines) {
    const from = begins.get(line as typeof subject);
    if (from === undefined) continue;
    const end = text.indexOf('\n', from);
    const said = withoutFinds(text, from, end < 0 ? text.length : end, finds);
    if (/\p{L}{3}/u.test(said)) return said.slice(0, LONGEST_NAME).trim();
  }
  return NAMELESS;
}

function withoutFinds(text: string, from: number, to: number, finds: readonly Find[]): string {
  let said = '';
  let at = from;
  for (const { start, end } of finds) {
    if (end <= from || start >= to) continue;
    said += `${text.slice(at, start)} `;
    at = Math.max(at, end);
  }
  return (said + text.slice(at, Math.max(at, to)))
    .replace(/\s+/gu, ' ')
    .replace(/\s+([,.;:!?])/gu, '$1')
    .replace(/^[\s,.;:–-]+|[\s,;:–-]+$/gu, '');
}

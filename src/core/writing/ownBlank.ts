import type { Blank } from '../document/templateDocument';
import { readAnswer } from '../fill/blanks';
import { compileTemplate } from '../fill/compileTemplate';
import { fillTemplate } from '../fill/fillTemplate';
import type { Situation } from '../records/which/situation';
import { printTag } from '../template/tags/printTag';
import { readWholeTag } from '../template/tags/readWholeTag';
import { readTypedAnswer } from './readTypedAnswer';
import type { WritingDesk } from './writingDesk';

/**
 * The id of a question that a letter asks for itself, not for its template: what it asks stands in it, so that it is known wherever the
 * letter is written on.
 * @param number tells it from others that ask the same
 */
export function idOfOwnBlank(blank: Blank, number: number): string {
  return `${printTag(blank)} ${number}`;
}

/** What a question asks that is the letter's own. Undefined: it is its template's. */
export function ownBlank(id: string): Blank | undefined {
  const asks = /^(\{\{\?[^]*\}\}) \d+$/.exec(id)?.[1];
  const tag = asks === undefined ? undefined : readWholeTag(asks);
  return tag?.type === 'blank' ? tag : undefined;
}

/**
 * What an answer says in the letter, in the form that its blank wants.
 * @param language of the letter, where it is not the business's
 * @returns its words; or what was expected, in words that follow “Write”
 */
export function wordsOfOwnBlank(
  blank: Blank,
  typed: string,
  desk: WritingDesk,
  situation: Situation,
  language: string | undefined,
): { words: string } | { expected: string } {
  const { name, answer = { kind: 'text' } } = blank.attrs;
  const read = readTypedAnswer(typed, answer, desk.book);
  if ('expected' in read) return read;
  const value = readAnswer(read.answer, answer, desk.context.schema.currency);
  const head = { name: '', group: '', startsFrom: situation.start.kind, subject: [] };
  const { compiled } = compileTemplate(
    {
      head: { ...head, ...(language === undefined ? {} : { language }) },
      document: { type: 'doc', content: [{ type: 'paragraph', content: [blank] }] },
    },
    desk.context,
  );
  if (!compiled || !('value' in value)) return { words: read.answer };
  return { words: fillTemplate(compiled, situation, new Map([[name, value.value]])).text.trim() };
}

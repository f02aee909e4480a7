import { eachPart, type Part } from '../document/eachPart';
import type { TemplateDocument } from '../document/templateDocument';
import { STARTING_POINTS } from '../records/recordKind';
import { compileTemplate } from './compileTemplate';
import type { CompileContext } from './compile/newScope';

/** What the business writes once for all of its letters. */
export type OwnWords = 'signature' | 'letterhead';

/** What cannot stand in them, in words. */
const STRANGERS: Partial<Record<Part['type'], (what: OwnWords) => string>> = {
  blank: (what) => `A blank is asked where a letter is written, not in its ${what}.`,
  passage: (what) => `A passage cannot stand in a ${what}.`,
  signature: (what) => `A signature cannot stand in ${what === 'signature' ? 'itself' : 'a letterhead'}.`,
};

const LINES_ONLY =
  'A signature is lines, pictures and links. Take out what else there is: lists, tables, headings.';

/**
 * What is wrong with the words of a signature or a letterhead, each once, in sentences: whatever a letter starts from, their fields
 * must be found. A signature is lines alone.
 */
export function judgeOwnWords(what: OwnWords, document: TemplateDocument, context: CompileContext): string[] {
  const said = new Set<string>();
  if (what === 'signature' && document.content.some(({ type }) => type !== 'paragraph')) said.add(LINES_ONLY);
  for (const { part } of eachPart(document.content)) {
    const stranger = STRANGERS[part.type];
    if (stranger) said.add(stranger(what));
  }
  if (said.size > 0) return [...said];
  for (const startsFrom of STARTING_POINTS) {
    const head = { name: what, group: '', startsFrom, subject: [] };
    for (const { message } of compileTemplate({ head, document }, context).problems) said.add(message);
  }
  return [...said];
}

import type { CopyBlock, CopyMark, CopyNode, CopyWord } from '../document/copyDocument';
import type { Blank, TemplateDocument } from '../document/templateDocument';
import { eachPart } from '../document/eachPart';
import { fairCopyOf } from '../fairCopy/fairCopy';
import { isDefinition } from '../fill/blanks';
import { newScope } from '../fill/compile/newScope';
import { compileTemplate } from '../fill/compileTemplate';
import { resolvePath } from '../fill/paths/resolvePath';
import type { StartingPoint } from '../records/which/situation';
import { printTag } from '../template/tags/printTag';
import type { Shorthand } from '../template/template';
import type { Choices } from './letter';
import { idOfOwnBlank, ownBlank } from './ownBlank';
import type { WritingDesk } from './writingDesk';

/**
 * What a shorthand says in a letter: its words with the facts of the letter's records, as if they had been typed. Its blanks are
 * questions, a fact that is missing a hole.
 * @param newNumber gives a number that no other question has
 * @returns its blocks; or why it cannot stand there, in a sentence
 */
export function unfold(
  desk: WritingDesk,
  start: StartingPoint,
  choices: Choices,
  { name, document }: Pick<Shorthand, 'name' | 'document'>,
  newNumber: () => number,
): CopyBlock[] | string {
  const situation = desk.situation(start, choices);
  if (!situation) return 'The record that the letter is written from is no longer there.';
  const language = desk.template(choices.template)?.head.language;
  const head = {
    name,
    group: '',
    startsFrom: start.kind,
    subject: [],
    ...(language === undefined ? {} : { language }),
  };
  const scope = newScope(desk.context, head, []);
  const reachable = (path: string) => typeof resolvePath(path, scope) !== 'string';
  const { compiled, problems } = compileTemplate(
    { head, document: withQuestions(document, reachable) },
    { ...desk.context, key: 'shorthand' },
  );
  if (!compiled) return `“${name}” cannot stand here: ${problems[0]!.message}`;
  const [, ...blocks] = fairCopyOf(compiled, situation).document.content;
  return blocks.map((block) => asTyped(block, newNumber) as CopyBlock);
}

/**
 * A document with a gap for each blank that says nothing by itself, and for what a letter from here does not lead to.
 * @param reachable whether a path leads to a fact
 */
function withQuestions(document: TemplateDocument, reachable: (path: string) => boolean): TemplateDocument {
  const definitions = new Map<string, Blank>();
  for (const { part } of eachPart(document.content))
    if (part.type === 'blank' && isDefinition(part)) definitions.set(part.attrs.name, part);
  const change = (node: Json, inside: boolean): Json => {
    if (node.type === 'blank') {
      const blank = node as unknown as Blank;
      const { answer, default: preset } = (definitions.get(blank.attrs.name) ?? blank).attrs;
      if (preset !== undefined) return node;
      const whole: Blank = { ...blank, attrs: { ...blank.attrs, ...(answer ? { answer } : {}) } };
      return { ...node, type: 'gap', attrs: { words: printTag({ type: 'blank', attrs: whole.attrs }) } };
    }
    const path = node.type === 'field' && !inside ? (node.attrs!.path as string) : undefined;
    if (path !== undefined && !reachable(path))
      return { ...node, type: 'gap', attrs: { words: path.replace(/[._]/g, ' ') } };
    const within = inside || node.type === 'section';
    return node.content ? { ...node, content: node.content.map((child) => change(child, within)) } : node;
  };
  return change(document as unknown as Json, false) as unknown as TemplateDocument;
}

interface Json {
  type: string;
  attrs?: Record<string, unknown>;
  content?: Json[];
}

/** As its writer would have typed it: nothing in it is its template's. */
function asTyped(node: CopyNode, newNumber: () => number): CopyNode {
  if (node.type === 'hole') return question(node, newNumber());
  const { attrs = {}, ...rest } = node as { attrs?: Record<string, unknown>; marks?: CopyMark[] } & CopyNode;
  const { origin: _, ...kept } = attrs;
  const marks = (rest.marks ?? []).filter(({ type }) => type !== 'value' && type !== 'signature');
  delete (rest as { marks?: CopyMark[] }).marks;
  return {
    ...rest,
    ...(Object.keys(kept).length ? { attrs: kept } : {}),
    ...(marks.length ? { marks } : {}),
    ...('content' in node && node.content
      ? { content: (node.content as CopyNode[]).map((child) => asTyped(child, newNumber)) }
      : {}),
  } as CopyNode;
}

function question(hole: Extract<CopyWord, { type: 'hole' }>, number: number): CopyNode {
  const blank = ownBlank(`${hole.attrs.label} 0`);
  if (!blank) return { ...hole, attrs: { ...hole.attrs, kind: 'gap', id: `shorthand ${number}` } };
  return { ...hole, attrs: { id: idOfOwnBlank(blank, number), kind: 'blank', label: blank.attrs.name } };
}

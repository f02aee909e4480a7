import type { CopyDocument, CopyPart } from '../document/copyDocument';
import { wordsOf } from '../document/eachNode';
import { isSigned } from '../fairCopy/values';
import type { StartingPoint } from '../records/which/situation';
import type { TemplateHead } from '../template/template';
import type { Letter, PutIn } from './letter';
import type { WritingDesk } from './writingDesk';

type Blocks = CopyDocument['content'];

/** Whether the words of a template may stand in a letter from another one: they are read by the same reader, in one language. */
export function canBePutIn(head: TemplateHead, into: TemplateHead): boolean {
  const like = ({ language = '', writtenTo = 'client', kind = 'letter' }: TemplateHead) =>
    [language, writtenTo, kind].join(' ');
  return like(head) === like(into);
}

/**
 * Puts the words of a template into a letter from another one, without its greeting and signature: they stay fields, and follow their
 * records as those around them do.
 * @param at the block behind which they go, by its place on the page; the subject, or none: before the signature
 * @returns the letter, or why not, in words
 */
export function putIn(
  desk: WritingDesk,
  start: StartingPoint,
  letter: Letter,
  { template: key, at }: { template: string; at: number | undefined },
): Letter | string {
  const { choices, document } = letter;
  const template = desk.template(key);
  if (!template) return 'This template is no longer there.';
  const there = choices.putIn ?? [];
  if (key === choices.template || there.some((one) => one.template === key))
    return `“${template.head.name}” is in this letter already.`;
  const place = placeOfCaret(document.content, at);
  const behind = originBefore(document.content, place, choices.template);
  const one: PutIn = {
    template: key,
    version: template.version,
    ...(behind === undefined ? {} : { behind }),
  };
  const isBefore = (other: PutIn) =>
    document.content.slice(0, place + 1).some((block) => isOf(block, other.template));
  const all = [...there.filter(isBefore), one, ...there.filter((other) => !isBefore(other))];
  const joined = { ...choices, putIn: all };
  const compiled = desk.compile(choices.template, joined);
  if (Array.isArray(compiled))
    return `“${template.head.name}” does not go with this letter. ${compiled.join(' ')}`;
  const filled = desk.fill(start, joined);
  if (!filled) return 'The record that this letter starts from is no longer there.';
  const blocks = filled.document.content.filter((block) => isOf(block, key));
  if (blocks.length === 0) return `“${template.head.name}” has nothing to say of this record.`;
  return { choices: joined, document: withBlocks(document, filled.document, blocks, place) };
}

function withBlocks(
  document: CopyDocument,
  filled: CopyDocument,
  blocks: readonly CopyPart[],
  at: number,
): CopyDocument {
  const [subject, ...rest] = document.content;
  const here = document.content[at];
  // An empty line that the caret stands on makes room.
  const isEmpty = here?.type === 'paragraph' && !here.attrs?.origin && !wordsOf(here).trim();
  return {
    ...document,
    content: [
      wordsOf(subject!).trim() ? subject! : filled.content[0]!,
      ...rest.slice(0, isEmpty ? at - 1 : at),
      ...blocks,
      ...rest.slice(at),
    ] as Blocks,
  };
}

/**
 * The block behind which something is put in: the one that the caret stands in; where that is the subject, the signature or none, the
 * last before what the letter is signed with.
 */
export function placeOfCaret(content: Blocks, at: number | undefined): number {
  if (at && content[at] && !isSigned(content[at])) return at;
  const signed = content.findLastIndex(isSigned);
  return (signed < 0 ? content.length : signed) - 1;
}

/** The last part of a template at a place or before it. */
function originBefore(content: Blocks, at: number, template: string): string | undefined {
  return content.slice(0, at + 1).findLast((block) => isOf(block, template))?.attrs?.origin;
}

function isOf(block: CopyPart, template: string): boolean {
  return block.attrs?.origin?.startsWith(`${template}:`) ?? false;
}

import { LetterWriter } from '../fill/write/letterWriter';
import { LineWriter } from '../fill/write/lineWriter';
import { safeAddress } from '../fill/write/escape';
import {
  literal,
  type BlockLook,
  type ImageLook,
  type MarkLook,
  type PageWriter,
  type WordWriter,
} from '../fill/write/writer';
import {
  copyMarkKey,
  holdsWords,
  type CopyAttrs,
  type CopyDocument,
  type CopyMark,
  type CopyNode,
  type CopyType,
} from './copyDocument';

/** A fair copy as it goes out. */
export interface WrittenCopy {
  subject: string;
  text: string;
  /** where in the text the signature begins that it ends with; absent where it does not end with one */
  signatureAt?: number;
  /** a fragment with inline styles */
  html: string;
}

/** Writes out a fair copy by the same writers as a filled template: what is read is what goes. */
export function writeCopy({ content: [subject, ...body] }: CopyDocument): WrittenCopy {
  const line = new LineWriter();
  writeWords(subject?.content ?? [], line);
  const letter = new LetterWriter();
  writeBlocks(body, letter);
  return { subject: line.end(), ...letter.end() };
}

function writeBlocks(nodes: readonly CopyNode[], page: PageWriter): void {
  for (const node of nodes) writeBlock(node, page);
}

function writeBlock(node: CopyNode, page: PageWriter): void {
  const { type, attrs = {}, content = [] } = node;
  const id = attrs.origin ?? '';
  if (type === 'rule') return page.rule(id);
  const block = blockOf(type, attrs);
  if (!block) return;
  page.beginBlock(id, block);
  if (holdsWords(node)) writeWords(content, page);
  else writeBlocks(content, page);
  page.endBlock(block);
}

/** What the writers call a block; undefined for what is none. */
function blockOf(type: CopyType, attrs: CopyAttrs): BlockLook | undefined {
  switch (type) {
    case 'paragraph':
    case 'quote':
      return { type };
    case 'heading':
      return { type, level: attrs.level ?? 1 };
    case 'bulletList':
      return { type: 'list', ordered: false, start: 1, tight: attrs.tight ?? false };
    case 'orderedList':
      return { type: 'list', ordered: true, start: attrs.start ?? 1, tight: attrs.tight ?? false };
    case 'listItem':
      return { type: 'item' };
    case 'table':
      return { type, align: attrs.align ?? [] };
    case 'tableRow':
      return { type: 'row', header: attrs.header ?? false };
    case 'tableCell':
      return { type: 'cell' };
    case 'codeBlock':
      return { type: 'code' };
    case 'styled':
      return { type, styles: attrs.styles ?? [] };
    default:
      return undefined;
  }
}

/** Words that share a mark are wrapped once, the mark that reaches furthest outermost. */
function writeWords(nodes: readonly CopyNode[], words: WordWriter): void {
  for (let at = 0; at < nodes.length;) {
    const { mark, length } = longestRun(nodes, at);
    if (!mark) {
      writeWord(nodes[at]!, words);
      at++;
      continue;
    }
    const key = copyMarkKey(mark);
    const inner = nodes
      .slice(at, at + length)
      .map((node) => ({ ...node, marks: node.marks!.filter((one) => copyMarkKey(one) !== key) }));
    const look = lookOf(mark);
    if (look) words.beginMark(look);
    writeWords(inner, words);
    if (look) words.endMark(look);
    at += length;
  }
}

/** What the writers call a mark; a value says nothing of its own, and not every address may be followed. */
function lookOf(mark: CopyMark): MarkLook | undefined {
  switch (mark.type) {
    case 'value':
      return undefined;
    case 'style':
      return { type: 'style', style: mark.attrs.style };
    case 'link': {
      const address = safeAddress(mark.attrs.address);
      const { button = false, styles = [] } = mark.attrs;
      return address === undefined ? undefined : { type: 'link', address, button, styles };
    }
    default:
      return mark;
  }
}

function writeWord({ type, text = '', attrs = {} }: CopyNode, words: WordWriter): void {
  if (type === 'text') words.literal(literal(text));
  else if (type === 'break') words.lineBreak();
  else if (type === 'image') words.image({ source: '', description: '', ...attrs } as ImageLook);
  else if (type === 'hole') words.hole(attrs.id ?? '', attrs.kind ?? 'field', attrs.label ?? '');
}

function longestRun(nodes: readonly CopyNode[], at: number): { mark?: CopyMark; length: number } {
  let best: { mark?: CopyMark; length: number } = { length: 0 };
  for (const mark of nodes[at]!.marks ?? []) {
    const key = copyMarkKey(mark);
    let end = at + 1;
    while (end < nodes.length && nodes[end]!.marks?.some((other) => copyMarkKey(other) === key)) end++;
    if (end - at > best.length) best = { mark, length: end - at };
  }
  return best;
}

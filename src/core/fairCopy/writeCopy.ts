import { HtmlWriter } from '../fill/write/htmlWriter';
import { LetterWriter } from '../fill/write/letterWriter';
import { LineWriter } from '../fill/write/lineWriter';
import { escapeHtml, safeAddress } from '../fill/write/escape';
import type { ImageLook, PageWriter, WordWriter } from '../fill/write/writer';
import { copyMarkKey, type CopyDocument, type CopyMark, type CopyNode } from './copyDocument';

/** A fair copy as it goes out. */
export interface WrittenCopy {
  subject: string;
  text: string;
  /** a fragment with inline styles */
  html: string;
}

/** Writes out a fair copy by the same writers as a filled template: what is read is what goes. */
export function writeCopy({ content: [subject, ...body] }: CopyDocument): WrittenCopy {
  const line = new LineWriter();
  writeWords(subject?.content ?? [], line);
  const letter = new LetterWriter();
  writeBlocks(body, letter);
  return { subject: line.end(), text: letter.text.end(), html: letter.html.end() };
}

/** Only the HTML, for copying. */
export function htmlOf(body: readonly CopyNode[]): string {
  const page = new HtmlWriter();
  writeBlocks(body, page);
  return page.end();
}

function writeBlocks(nodes: readonly CopyNode[], page: PageWriter): void {
  for (const node of nodes) writeBlock(node, page);
}

function writeBlock({ type, attrs = {}, content = [] }: CopyNode, page: PageWriter): void {
  const id = attrs.origin ?? '';
  const words = () => writeWords(content, page);
  const blocks = () => writeBlocks(content, page);
  switch (type) {
    case 'paragraph':
      return page.paragraph(id, words);
    case 'heading':
      return page.heading(id, attrs.level ?? 1, words);
    case 'rule':
      return page.rule(id);
    case 'quote':
      return page.quote(id, blocks);
    case 'bulletList':
      return page.list(id, { ordered: false, start: 1, tight: attrs.tight ?? false }, blocks);
    case 'orderedList':
      return page.list(id, { ordered: true, start: attrs.start ?? 1, tight: attrs.tight ?? false }, blocks);
    case 'listItem':
      return page.item(id, blocks);
    case 'table':
      return page.table(id, attrs.align ?? [], blocks);
    case 'tableRow':
      return page.row(id, attrs.header ?? false, blocks);
    case 'tableCell':
      return page.cell(words);
    case 'codeBlock':
      return page.code(id, words);
    case 'styled':
      return page.styled(id, attrs.styles ?? [], blocks);
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
    wrap(mark, words, () => writeWords(inner, words));
    at += length;
  }
}

function wrap(mark: CopyMark, words: WordWriter, inner: () => void): void {
  switch (mark.type) {
    case 'value':
      return inner();
    case 'style':
      return words.marked({ type: 'style', style: mark.attrs.style }, inner);
    case 'link': {
      const address = safeAddress(mark.attrs.address);
      if (!address) return inner();
      return words.link(
        { address, button: mark.attrs.button ?? false, styles: mark.attrs.styles ?? [] },
        inner,
      );
    }
    default:
      return words.marked(mark, inner);
  }
}

function writeWord({ type, text = '', attrs = {} }: CopyNode, words: WordWriter): void {
  if (type === 'text') words.literal(text, escapeHtml(text));
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

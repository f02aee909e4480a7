import type { CopyDocument, CopyMark, CopyPart, CopyWord } from '../document/copyDocument';
import { holdsWords } from '../document/eachNode';
import { longestRun, markKey, withoutMark } from '../document/marks';
import { safeAddress } from '../document/safeAddress';
import { LetterWriter } from '../fill/write/letterWriter';
import { LineWriter } from '../fill/write/lineWriter';
import { literal, type MarkLook, type PageWriter, type WordWriter } from '../fill/write/writer';

/** A fair copy as it goes out. */
export interface WrittenCopy {
  subject: string;
  text: string;
  /** where in the text the signature begins that it ends with; absent where it does not end with one */
  signatureAt?: number;
  /** a fragment with inline styles */
  html: string;
}

/**
 * Writes out a fair copy by the same writers as a filled template: what is read is what goes.
 * @param around what stands above and below it
 */
export function writeCopy(
  { content: [subject, ...body] }: CopyDocument,
  around: { top?: CopyDocument; foot?: CopyDocument } = {},
): WrittenCopy {
  const line = new LineWriter();
  if (subject?.type === 'subject') writeWords(subject.content, line);
  const letter = new LetterWriter();
  writeParts(body, letter);
  const { text, signatureAt, html } = letter.end();
  const [top, foot] = [written(around.top), written(around.foot)];
  const above = top.text && `${top.text}\n`;
  return {
    subject: line.end(),
    // What follows the signature is set off with it in a mail's text, and left out with it where it is answered.
    text: `${above}${text}${foot.text && `\n${foot.text}`}`,
    ...(signatureAt === undefined ? {} : { signatureAt: above.length + signatureAt }),
    html: `${top.html}${html}${foot.html}`,
  };
}

/** A part of what stands around a letter; without words it is nothing. */
function written(part: CopyDocument | undefined): { text: string; html: string } {
  if (!part) return { text: '', html: '' };
  const page = new LetterWriter();
  writeParts(part.content, page);
  return page.end();
}

function writeParts(parts: readonly CopyPart[], page: PageWriter): void {
  for (const part of parts) {
    if (part.type === 'doc' || part.type === 'subject') continue;
    const id = part.type === 'tableCell' ? '' : (part.attrs?.origin ?? '');
    if (part.type === 'rule') {
      page.rule(id);
      continue;
    }
    page.beginBlock(id, part);
    if (holdsWords(part)) writeWords(part.content, page);
    else writeParts(part.content, page);
    page.endBlock(part);
  }
}

/** Words that share a mark are wrapped once, the mark that reaches furthest outermost. */
function writeWords(nodes: readonly CopyWord[], words: WordWriter): void {
  for (let at = 0; at < nodes.length;) {
    const { mark, length } = longestRun(nodes, at);
    if (!mark) {
      writeWord(nodes[at]!, words);
      at++;
      continue;
    }
    const inner = nodes.slice(at, at + length).map((node) => withoutMark(node, markKey(mark)));
    const look = lookOf(mark);
    if (look) words.beginMark(look);
    writeWords(inner, words);
    if (look) words.endMark(look);
    at += length;
  }
}

/** What the writers call a mark; a value says nothing of its own, and not every address may be followed. */
function lookOf(mark: CopyMark): MarkLook | undefined {
  if (mark.type === 'value') return undefined;
  if (mark.type !== 'link') return mark;
  const address = safeAddress(mark.attrs.address);
  return address === undefined ? undefined : { type: 'link', attrs: { ...mark.attrs, address } };
}

function writeWord(node: CopyWord, words: WordWriter): void {
  switch (node.type) {
    case 'text':
      return words.literal(literal(node.text));
    case 'break':
      return words.lineBreak();
    case 'image':
      return words.image(node.attrs);
    case 'hole':
      return words.hole(node.attrs.id, node.attrs.kind, node.attrs.label);
  }
}

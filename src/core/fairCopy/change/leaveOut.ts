import { holdsWords, partsOf, wordsOf } from '../../document/eachNode';
import { joined } from '../../document/marks';
import type { CopyDocument, CopyPart, CopyWord } from '../../document/copyDocument';

/**
 * Takes the sentence with a hole out of a document. A block, item or table row that has nothing left goes too.
 * @param locale by whose rules a sentence ends (Unicode text segmentation, UAX 29)
 */
export function leaveOut(document: CopyDocument, id: string, locale: string): CopyDocument {
  return (without(document, id, locale) as CopyDocument | undefined) ?? document;
}

/** Undefined: nothing is left of it. */
function without(node: CopyPart, id: string, locale: string): CopyPart | undefined {
  if (!node.content) return node;
  if (holdsWords(node)) {
    const at = node.content.findIndex((child) => child.type === 'hole' && child.attrs.id === id);
    if (at < 0) return node;
    const content = cut(node.content, sentenceAround(node.content, at, locale));
    const empty = !content.some((child) => child.type !== 'text' || child.text.trim());
    return empty && node.type !== 'subject' && node.type !== 'tableCell' ? undefined : { ...node, content };
  }
  const content: CopyPart[] = [];
  let changed = false;
  for (const child of partsOf(node)) {
    const left = without(child, id, locale);
    if (left !== child) changed = true;
    if (left) content.push(left);
  }
  if (!changed) return node;
  // A row without one of its facts says nothing any more.
  if (node.type === 'tableRow' || (content.length === 0 && node.type !== 'doc')) return undefined;
  return { ...node, content } as CopyPart;
}

/** From where to where the sentence reaches, in characters of the line. A line break ends one, too. */
function sentenceAround(
  nodes: readonly CopyWord[],
  hole: number,
  locale: string,
): { from: number; to: number } {
  const words = nodes.map(lengthened);
  const text = words.join('');
  const at = words.slice(0, hole).join('').length;
  const from = text.lastIndexOf('\n', at - 1) + 1;
  const end = text.indexOf('\n', at);
  const line = text.slice(from, end < 0 ? undefined : end);
  for (const { segment, index } of new Intl.Segmenter(locale, { granularity: 'sentence' }).segment(line)) {
    if (at - from < index + segment.length) return { from: from + index, to: from + index + segment.length };
  }
  return { from, to: from + line.length };
}

/** As many characters as the node takes: a hole or picture stands for one letter in the sentence. */
function lengthened(node: CopyWord): string {
  return node.type === 'text' || node.type === 'break' ? wordsOf(node) : 'x';
}

function cut(nodes: readonly CopyWord[], { from, to }: { from: number; to: number }): CopyWord[] {
  const kept: CopyWord[] = [];
  let at = 0;
  for (const node of nodes) {
    const length = lengthened(node).length;
    const [start, end] = [Math.max(0, from - at), Math.max(0, Math.min(length, to - at))];
    if (end <= start) kept.push(node);
    else if (node.type === 'text')
      kept.push({ ...node, text: node.text.slice(0, start) + node.text.slice(end) });
    at += length;
  }
  const left = joined(kept);
  // What stood before the sentence ends where it began, and no break hangs over.
  while (left.at(-1)?.type === 'break') left.pop();
  while (left[0]?.type === 'break') left.shift();
  const last = left.at(-1);
  if (last?.type === 'text') left[left.length - 1] = { ...last, text: last.text!.trimEnd() };
  return joined(left);
}

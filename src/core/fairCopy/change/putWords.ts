import type { CopyDocument, CopyPart, CopyWord } from '../../document/copyDocument';
import { holdsWords, partsOf } from '../../document/eachNode';
import { joined } from '../../document/marks';
import type { Place } from '../../proof/proofMark';

/**
 * Puts other words in the place of some, in the looks of the first of them. What was a field's stays it, with words of its writer's. A
 * line of the body that has nothing left goes.
 */
export function putWords(document: CopyDocument, place: Place, words: string): CopyDocument {
  const count = { line: -1 };
  return (put(document, place, words, count) as CopyDocument | undefined) ?? document;
}

/** Undefined: nothing is left of it. @param count which line was the last */
function put(part: CopyPart, place: Place, words: string, count: { line: number }): CopyPart | undefined {
  if (holdsWords(part)) {
    if (++count.line !== place.line) return part;
    const content = joined(replaced(part.content, place, words));
    const isEmpty = !content.some((node) => node.type !== 'text' || node.text.trim());
    return isEmpty && part.type === 'paragraph' ? undefined : { ...part, content };
  }
  const parts = partsOf(part);
  const next = parts.flatMap((child) => put(child, place, words, count) ?? []);
  if (next.length === parts.length && next.every((child, i) => child === parts[i])) return part;
  return next.length || part.type === 'doc' ? ({ ...part, content: next } as CopyPart) : undefined;
}

function replaced(nodes: readonly CopyWord[], { from, to }: Place, words: string): CopyWord[] {
  const result: CopyWord[] = [];
  let at = 0;
  let isPut = false;
  for (const node of nodes) {
    const length = node.type === 'text' ? node.text.length : 1;
    const [begin, end] = [Math.max(from - at, 0), Math.min(to - at, length)];
    const touches = begin < end || (from === to && !isPut && begin <= length && from - at >= 0);
    at += length;
    if (!touches) {
      result.push(node);
      continue;
    }
    const text = node.type === 'text' ? node.text : '';
    if (text.slice(0, begin)) result.push({ ...node, type: 'text', text: text.slice(0, begin) } as CopyWord);
    if (!isPut && words)
      result.push({ type: 'text', text: words, ...(node.marks ? { marks: node.marks } : {}) });
    isPut = true;
    if (text.slice(end)) result.push({ ...node, type: 'text', text: text.slice(end) } as CopyWord);
  }
  // A line without a word takes them, too.
  if (!isPut && words && from === to) result.push({ type: 'text', text: words });
  return result;
}

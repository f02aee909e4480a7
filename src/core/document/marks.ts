import type { CopyMark, CopyWord } from './copyDocument';
import { STYLES } from './document';
import { LETTER } from './kinds';
import type { Inline, Mark } from './templateDocument';

/** A mark of a template's words or of a letter's. */
export type AnyMark = Mark | CopyMark;
type AnyWord = Inline | CopyWord;
/** The marks of a template's words, or of a letter's. */
type MarkAt<Word> = Word extends CopyWord ? CopyMark : Mark;

/** A template's marks stand in the same order as a letter's, which has more. */
const ORDER = Object.keys(LETTER.marks);

/** Marks in their one order, each once: two documents that look the same are the same. */
export function sortMarks<M extends AnyMark>(marks: readonly M[]): M[] {
  if (marks.length < 2) return [...marks];
  const byKey = new Map(marks.map((mark) => [markKey(mark), mark]));
  return [...byKey]
    .sort(([key, a], [other, b]) => rank(a) - rank(b) || (key < other ? -1 : 1))
    .map(([, mark]) => mark);
}

function rank(mark: AnyMark): number {
  const style = mark.type === 'style' ? STYLES.indexOf(mark.attrs.style) / 100 : 0;
  return ORDER.indexOf(mark.type) + style;
}

/** A mark as one comparable text. */
export function markKey(mark: AnyMark): string {
  return 'attrs' in mark ? `${mark.type} ${JSON.stringify(mark.attrs)}` : mark.type;
}

/** All marks of a node as one comparable text. */
export function marksKey({ marks }: { marks?: readonly AnyMark[] }): string {
  return marks?.length ? marks.map(markKey).join(' ') : '';
}

/** The marks of a node; a section or condition has those that all its children share. */
export function marksOf<Word extends AnyWord>(node: Word): readonly MarkAt<Word>[] {
  const any = node as AnyWord;
  if (any.type === 'comment') return [];
  if (any.type !== 'section' && any.type !== 'when')
    return (any.marks ?? []) as readonly unknown[] as MarkAt<Word>[];
  const [first, ...rest] = wordsIn(any).map((child) => marksOf(child));
  const shared = (first ?? []).filter((mark) =>
    rest.every((marks) => marks.some((other) => markKey(other) === markKey(mark))),
  );
  return shared as readonly unknown[] as MarkAt<Word>[];
}

function wordsIn(node: Extract<Inline, { type: 'section' | 'when' }>): Inline[] {
  return node.type === 'section' ? node.content : node.content.flatMap((branch) => branch?.content ?? []);
}

/** The node without one mark, its children too. */
export function withoutMark<Word extends AnyWord>(node: Word, key: string): Word {
  const any = node as AnyWord;
  const strip = (children: readonly Inline[]) => children.map((child) => withoutMark(child, key));
  if (any.type === 'section') return { ...any, content: strip(any.content) } as Word;
  if (any.type === 'when') {
    const content = any.content.map((branch) => branch && { ...branch, content: strip(branch.content) });
    return { ...any, content } as Word;
  }
  if (any.type === 'comment' || !any.marks) return node;
  return { ...any, marks: (any.marks as AnyMark[]).filter((mark) => markKey(mark) !== key) } as Word;
}

/** The mark of the node at `at` that the most nodes after it share, and how many nodes that makes. */
export function longestRun<Word extends AnyWord>(
  nodes: readonly Word[],
  at: number,
): { mark?: MarkAt<Word>; length: number } {
  let best: { mark?: MarkAt<Word>; length: number } = { length: 0 };
  for (const mark of marksOf(nodes[at]!)) {
    const key = markKey(mark);
    let end = at + 1;
    while (end < nodes.length && marksOf(nodes[end]!).some((other) => markKey(other) === key)) end++;
    if (end - at > best.length) best = { mark, length: end - at };
  }
  return best;
}

/** Neighbouring text with the same marks as one node; empty text goes. */
export function joined<Node extends { type: string; text?: string; marks?: AnyMark[] }>(
  nodes: readonly Node[],
): Node[] {
  const out: Node[] = [];
  for (const node of nodes) {
    if (node.type === 'text' && !node.text) continue;
    const last = out.at(-1);
    if (last?.type === 'text' && node.type === 'text' && marksKey(last) === marksKey(node)) {
      out[out.length - 1] = { ...last, text: last.text! + node.text! };
    } else out.push(node);
  }
  return out;
}

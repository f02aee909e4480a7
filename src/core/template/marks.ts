import { STYLES, type Inline, type Mark } from './document';

const ORDER: readonly Mark['type'][] = ['link', 'style', 'italic', 'bold', 'code'];

/** Marks in their one order, each once: two documents that look the same are the same. */
export function sortMarks(marks: readonly Mark[]): Mark[] {
  const seen = new Set<string>();
  return marks
    .filter((mark) => {
      const key = markKey(mark);
      return !seen.has(key) && seen.add(key);
    })
    .sort((a, b) => rank(a) - rank(b));
}

function rank(mark: Mark): number {
  const style = mark.type === 'style' ? STYLES.indexOf(mark.style) / 100 : 0;
  return ORDER.indexOf(mark.type) + style;
}

export function markKey(mark: Mark): string {
  return mark.type === 'style'
    ? `style ${mark.style}`
    : mark.type === 'link'
      ? JSON.stringify(mark)
      : mark.type;
}

/** The marks of a node; a section or condition has those that all its children share. */
export function marksOf(node: Inline): readonly Mark[] {
  if (node.type !== 'section' && node.type !== 'when')
    return node.type === 'comment' ? [] : (node.marks ?? []);
  const children = [...node.content, ...(node.type === 'when' ? (node.otherwise ?? []) : [])];
  const [first, ...rest] = children.map(marksOf);
  return (first ?? []).filter((mark) =>
    rest.every((marks) => marks.some((m) => markKey(m) === markKey(mark))),
  );
}

/** The node without one mark, its children too. */
export function withoutMark<T extends Inline>(node: T, key: string): T {
  if (node.type === 'section' || node.type === 'when') {
    const strip = (children: Inline[]) => children.map((child) => withoutMark(child, key));
    const stripped = { ...node, content: strip(node.content) };
    if (stripped.type === 'when' && node.type === 'when' && node.otherwise) {
      stripped.otherwise = strip(node.otherwise);
    }
    return stripped;
  }
  if (node.type === 'comment' || !('marks' in node) || !node.marks) return node;
  return { ...node, marks: node.marks.filter((mark) => markKey(mark) !== key) };
}

/** The mark of the node at `at` that the most nodes after it share, and how many nodes that makes. */
export function longestRun(nodes: readonly Inline[], at: number): { mark?: Mark; length: number } {
  let best: { mark?: Mark; length: number } = { length: 0 };
  for (const mark of marksOf(nodes[at]!)) {
    const key = markKey(mark);
    let end = at + 1;
    while (end < nodes.length && marksOf(nodes[end]!).some((other) => markKey(other) === key)) end++;
    if (end - at > best.length) best = { mark, length: end - at };
  }
  return best;
}

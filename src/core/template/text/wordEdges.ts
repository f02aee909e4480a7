import type { Inline } from '../../document/templateDocument';
import { marksOf } from '../../document/marks';

/** A run of words to be emphasised, with what stands beside it. */
export interface Edges {
  before: string;
  after: string;
  run: readonly Inline[];
}

/**
 * Whether asterisks around a run will be read as emphasis (CommonMark's flanking rules, taken narrowly): nothing
 * but letters, digits and tags at its inner edges, or space and plain punctuation beside it.
 */
export function attentionHolds({ before, after, run }: Edges): boolean {
  const inner = [firstChar(run[0]), lastChar(run.at(-1))];
  const outer = [before, after];
  return inner.every((char, i) => {
    const beside = outer[i]!;
    if (/[\s*_]/u.test(char) || char === '' || beside === '*') return false;
    return !/[\p{P}\p{S}]/u.test(char) || beside === '' || /[\s.,;:!?)("]/u.test(beside);
  });
}

/** The character that will stand at an edge of a node: a letter for a tag, brackets around marks but emphasis. */
export function firstChar(node: Inline | undefined): string {
  return edge(node, '[', '!', (text) => [...text][0] ?? '');
}

/** As firstChar, at the other edge. */
export function lastChar(node: Inline | undefined): string {
  return edge(node, '}', ')', (text) => [...text].at(-1) ?? '');
}

function edge(
  node: Inline | undefined,
  bracket: string,
  image: string,
  ofText: (text: string) => string,
): string {
  if (!node) return '';
  if (node.type === 'break') return '\n';
  const marks = marksOf(node).map((mark) => mark.type);
  if (marks.includes('bold') || marks.includes('italic')) return '*';
  if (marks.includes('code')) return '`';
  if (marks.length) return bracket;
  if (node.type === 'text') return ofText(node.text);
  return node.type === 'image' ? image : 'x';
}

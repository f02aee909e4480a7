import type { Alignment, Style } from '../template/document';
import type { HoleKind } from '../fill/filled';

/**
 * A fair copy as plain JSON of the shape that the page's editor keeps: a template filled for one client, with
 * whatever its writer has changed. What a field said is words under a `value` mark; what is missing is a `hole`.
 * Every block that came from the template carries where from (`origin`), so that hand and template can be told
 * apart when another record is taken.
 */
export interface CopyDocument extends CopyNode {
  type: 'doc';
  /** the subject first, then the blocks of the body */
  content: CopyNode[];
}

export interface CopyNode {
  type: CopyType;
  attrs?: CopyAttrs;
  content?: CopyNode[];
  text?: string;
  marks?: CopyMark[];
}

export type CopyType =
  | 'doc'
  | 'subject'
  | 'paragraph'
  | 'heading'
  | 'rule'
  | 'quote'
  | 'bulletList'
  | 'orderedList'
  | 'listItem'
  | 'table'
  | 'tableRow'
  | 'tableCell'
  | 'codeBlock'
  | 'styled'
  | 'text'
  | 'break'
  | 'image'
  | 'hole';

/** Those that a node has depend on its type; absent ones are at their default. */
export interface CopyAttrs {
  /** the place in the template, as in a filling's ids; absent: written by hand */
  origin?: string;
  /** written by hand: the place in a template it was written behind, to which it returns */
  behind?: string;
  /** heading: 1 to 6 */
  level?: number;
  /** list: no blank lines between items */
  tight?: boolean;
  /** ordered list: its first number */
  start?: number;
  /** table: a column each */
  align?: Alignment[];
  /** table row */
  header?: boolean;
  /** styled block, image, link */
  styles?: Style[];
  /** image */
  source?: string;
  description?: string;
  width?: number;
  link?: string;
  /** hole: the id of its note, what is missing */
  id?: string;
  kind?: HoleKind;
  label?: string;
}

export type CopyMark =
  | { type: 'bold' | 'italic' | 'code' | 'signature' }
  | { type: 'style'; attrs: { style: Style } }
  | { type: 'link'; attrs: { address: string; button?: boolean; styles?: Style[] } }
  /** `said` is what the records say; other words under the mark are the writer's */
  | { type: 'value'; attrs: { id: string; said: string } };

/** What stands in a line: the content of these is words, of the others blocks. */
const WORD_HOLDERS = new Set<CopyType>(['subject', 'paragraph', 'heading', 'codeBlock', 'tableCell']);

export function holdsWords({ type }: CopyNode): boolean {
  return WORD_HOLDERS.has(type);
}

const MARK_ORDER: readonly CopyMark['type'][] = [
  'signature',
  'value',
  'link',
  'style',
  'italic',
  'bold',
  'code',
];

export function copyMarkKey(mark: CopyMark): string {
  return 'attrs' in mark ? `${mark.type} ${JSON.stringify(mark.attrs)}` : mark.type;
}

/** Marks in their one order. */
export function sortCopyMarks(marks: readonly CopyMark[]): CopyMark[] {
  return [...marks].sort(
    (a, b) =>
      MARK_ORDER.indexOf(a.type) - MARK_ORDER.indexOf(b.type) || (copyMarkKey(a) < copyMarkKey(b) ? -1 : 1),
  );
}

/** The id and words of the value that a node is part of. */
export function valueMark(node: CopyNode): { id: string; said: string } | undefined {
  const mark = node.marks?.find((one) => one.type === 'value');
  return mark?.type === 'value' ? mark.attrs : undefined;
}

/** Neighbouring text with the same marks as one node; empty text goes. */
export function joined(nodes: readonly CopyNode[]): CopyNode[] {
  const out: CopyNode[] = [];
  for (const node of nodes) {
    if (node.type === 'text' && !node.text) continue;
    const last = out.at(-1);
    if (last?.type === 'text' && node.type === 'text' && marksKey(last) === marksKey(node)) {
      out[out.length - 1] = { ...last, text: last.text! + node.text! };
    } else out.push(node);
  }
  return out;
}

/** The marks of a node as one comparable text. */
export function marksKey({ marks }: CopyNode): string {
  return marks?.length ? marks.map(copyMarkKey).join(' ') : '';
}

/** Every node, outermost first. */
export function* eachNode(node: CopyNode): Generator<CopyNode> {
  yield node;
  for (const child of node.content ?? []) yield* eachNode(child);
}

/** The words of a node as text; a line break as one. */
export function wordsOf(node: CopyNode): string {
  if (node.type === 'text') return node.text ?? '';
  if (node.type === 'break') return '\n';
  if (node.type === 'image') return node.attrs?.description ?? '';
  if (node.type === 'hole') return node.attrs?.label ?? '';
  return (node.content ?? []).map(wordsOf).join('');
}

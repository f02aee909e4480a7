import type { CopyNode, CopyPart, CopyWord } from './copyDocument';

/** A part of a letter whose content is words: what stands in a line. */
export type CopyLine = Extract<CopyPart, { content: CopyWord[] }>;

const LINES: ReadonlySet<CopyNode['type']> = new Set([
  'subject',
  'paragraph',
  'heading',
  'codeBlock',
  'tableCell',
]);

/** Whether a part of a letter holds words, not other parts. */
export function holdsWords(node: CopyNode): node is CopyLine {
  return LINES.has(node.type);
}

/** What stands in a node; a word holds nothing. */
function contentOf(node: CopyNode): readonly CopyNode[] {
  return ('content' in node && node.content) || [];
}

/** The parts that stand in a part; a line holds words. */
export function partsOf(part: CopyPart): readonly CopyPart[] {
  return holdsWords(part) ? [] : ((part.content ?? []) as readonly CopyPart[]);
}

/** Every node, outermost first. */
export function* eachNode(node: CopyNode): Generator<CopyNode> {
  yield node;
  for (const child of contentOf(node)) yield* eachNode(child);
}

/**
 * The words of a node as text; a line break as one.
 * @param missing what stands for what is missing; by default its name
 */
export function wordsOf(node: CopyNode, missing?: string): string {
  switch (node.type) {
    case 'text':
      return node.text;
    case 'break':
      return '\n';
    case 'image':
      return node.attrs.description;
    case 'hole':
      return missing ?? node.attrs.label;
    default:
      return contentOf(node)
        .map((child) => wordsOf(child, missing))
        .join('');
  }
}

/** The id and words of the value that a word is part of. */
export function valueMark({ marks }: CopyWord): { id: string; said: string } | undefined {
  const mark = marks?.find((one) => one.type === 'value');
  return mark?.type === 'value' ? mark.attrs : undefined;
}

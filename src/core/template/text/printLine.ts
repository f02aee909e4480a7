import type { Inline, Line, Section, When } from '../../document/templateDocument';
import { printTag } from '../tags/printTag';
import type { Tag } from '../tags/tag';

/**
 * Writes a line as readLine reads it.
 * @param write how a tag is written; by default as its text form
 * @param words how words are written
 */
export function printLine(
  line: Line,
  write: (tag: Tag) => string = printTag,
  words: (text: string) => string = escapedBraces,
): string {
  return line.map((node) => printInline(node, write, words)).join('');
}

function printInline(node: Inline, write: (tag: Tag) => string, words: (text: string) => string): string {
  const inside = (nodes: Inline[]) => printLine(nodes, write, words);
  switch (node.type) {
    case 'text':
      return words(node.text);
    case 'break':
      return ' ';
    case 'image':
      return inside(node.attrs.description);
    case 'section':
      return openingOf(node, write) + inside(node.content) + write({ type: 'close', path: node.attrs.path });
    case 'when': {
      const [then, otherwise] = node.content;
      const other = otherwise ? write({ type: 'otherwise' }) + inside(otherwise.content) : '';
      return openingOf(node, write) + inside(then.content) + other + write({ type: 'close when' });
    }
    default:
      return write(node);
  }
}

/**
 * A text with each `{{` in it written `\{{`. Of an odd number of braces the single one stands first: behind a pair it
 * would make a tag's braces three.
 */
export function escapedBraces(text: string): string {
  return text.replace(
    /\{{2,}/g,
    (braces) => (braces.length % 2 ? '{' : '') + '\\{{'.repeat(braces.length >> 1),
  );
}

/** The opening tag of a section or condition. */
export function openingOf(
  node: Pick<Section<never>, 'type' | 'attrs'> | Pick<When<never>, 'type' | 'attrs'>,
  write: (tag: Tag) => string,
): string {
  return node.type === 'when'
    ? write({ type: 'open when', ...node.attrs })
    : write({ type: 'open', ...node.attrs });
}

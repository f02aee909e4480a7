import { joined, sortMarks } from '../../document/marks';
import { readTemplateDocument } from '../../document/readDocument';
import type {
  Block,
  Inline,
  ListChild,
  Mark,
  Row,
  Table,
  TableCell,
  TableRow,
  Section,
  TemplateDocument,
  When,
} from '../../document/templateDocument';

/**
 * The document that an editor's state stands for, in the one form that text can say: what no text can is left out (a
 * paragraph without words, a line break at a paragraph's end), and every row of a table has as many cells as its head.
 * @param json what an editor holds
 * @throws UnreadableDocument when it is no template's document
 */
export function expressible(json: unknown): TemplateDocument {
  return { type: 'doc', content: blocks(readTemplateDocument(json).content) };
}

function blocks(nodes: readonly Block[]): Block[] {
  return nodes.flatMap(block);
}

function block(node: Block): Block[] {
  switch (node.type) {
    case 'paragraph':
      return unlessEmpty({ ...node, content: withoutOuterBreaks(words(node.content, [], false)) });
    case 'heading':
      return unlessEmpty({ ...node, content: words(node.content, [], true) });
    case 'quote':
    case 'styled':
      return unlessEmpty({ ...node, content: blocks(node.content) });
    case 'bulletList':
    case 'orderedList':
      return unlessEmpty(withTightness({ ...node, content: node.content.map(item) }));
    case 'table':
      return [table(node)];
    case 'codeBlock':
      return [{ ...node, content: joined(node.content.flatMap((child) => word(child, [], true))) }];
    case 'section':
    case 'when':
      return [withChildren(node, blocks)];
    default:
      return [node];
  }
}

function unlessEmpty(node: Block & { content: readonly unknown[] }): Block[] {
  return node.content.length ? [node] : [];
}

/** Of one item with one block no text can say whether its list is tight. */
function withTightness<List extends Extract<Block, { type: 'bulletList' | 'orderedList' }>>(
  list: List,
): List {
  const [only, second] = list.content;
  const parts = only && 'content' in only ? only.content.length : 0;
  return second || parts > 1 ? list : { ...list, attrs: { ...list.attrs, tight: true } };
}

function item(node: ListChild): ListChild {
  if (node.type === 'comment') return node;
  return node.type === 'listItem'
    ? { ...node, content: blocks(node.content) }
    : withChildren(node, (children: readonly ListChild[]) => children.map(item));
}

function table({ attrs, content: [head, ...rest] }: Table): Table {
  const columns = head?.type === 'tableRow' ? head.content.length : 0;
  const align = Array.from({ length: columns }, (_, i) => attrs.align[i] ?? null);
  const header: TableRow = { type: 'tableRow', attrs: { header: true }, content: cells(head, columns) };
  return { type: 'table', attrs: { align }, content: [header, ...rest.map((one) => row(one, columns))] };
}

function row(node: Row, columns: number): Row {
  if (node.type === 'comment') return node;
  return node.type === 'tableRow'
    ? { type: 'tableRow', content: cells(node, columns) }
    : withChildren(node, (children: readonly Row[]) => children.map((child) => row(child, columns)));
}

function cells(node: Row | undefined, columns: number): TableCell[] {
  return Array.from({ length: columns }, (_, i) => ({
    type: 'tableCell',
    content: words((node?.type === 'tableRow' && node.content[i]?.content) || [], [], true),
  }));
}

/** @param oneLine where no line can end: a break is a space */
function words(nodes: readonly Inline[], around: readonly Mark[], oneLine: boolean): Inline[] {
  return joined(withoutLoneTags(nodes.flatMap((node) => word(node, around, oneLine))));
}

function word(node: Inline, around: readonly Mark[], oneLine: boolean): Inline[] {
  // A structure has no looks of its own: its words have them.
  const own = ('marks' in node && node.marks) || [];
  // A link leads to one place: the outer one's.
  const linked = around.some(({ type }) => type === 'link');
  const marks = sortMarks([...around, ...own.filter(({ type }) => !linked || type !== 'link')]);
  const inside = (children: readonly Inline[]) => withoutOuterBreaks(words(children, marks, oneLine));
  const look = marks.length ? { marks } : {};
  switch (node.type) {
    case 'section':
    case 'when':
      return [withChildren(node, inside)];
    case 'comment':
    case 'passage':
      return [{ type: node.type, attrs: node.attrs } as Inline];
    case 'text':
      return [{ type: 'text', text: node.text.replace(/\s*\n\s*/g, ' '), ...look }];
    case 'break':
      return [oneLine ? { type: 'text', text: ' ', ...look } : { type: 'break' }];
    default: {
      const { marks: _, ...alone } = node;
      return [{ ...alone, ...look } as Inline];
    }
  }
}

/** A tag alone on its line would be a block: a break before one is a space, and a structure has none at its ends. */
function withoutLoneTags(nodes: readonly Inline[]): Inline[] {
  const isBreak = (node: Inline | undefined) => !node || node.type === 'break';
  return nodes.map((node, i) => {
    const next = nodes[i + 1];
    const lone = next && STRUCTURES.has(next.type) && isBreak(nodes[i + 2]);
    return node.type === 'break' && lone ? { type: 'text', text: ' ' } : node;
  });
}

const STRUCTURES = new Set<Inline['type']>(['section', 'when', 'comment', 'passage']);

function withoutOuterBreaks(nodes: readonly Inline[]): Inline[] {
  const kept = [...nodes];
  while (kept.at(-1)?.type === 'break') kept.pop();
  while (kept[0]?.type === 'break') kept.shift();
  return kept;
}

function withChildren<Child, Node extends Section<Child> | When<Child>>(
  node: Node,
  each: (children: readonly Child[]) => Child[],
): Node {
  if (node.type === 'section') return { ...node, content: each(node.content) };
  return {
    ...node,
    content: node.content.map((branch) => branch && { ...branch, content: each(branch.content) }),
  };
}

import type {
  Block,
  Inline,
  ListChild,
  Mark,
  Structured,
  TableCell,
  TableRow,
  TemplateDocument,
} from '../document';
import { sortMarks } from '../marks';
import { structureOf, type VisualMark, type VisualNode } from './visualNode';

/**
 * The document that an editor's state stands for, in its one form: what no text can say is left out (a paragraph
 * without words, a line break at a paragraph's end), and every row of a table has as many cells as its head.
 */
export function fromVisual({ content = [] }: VisualNode): TemplateDocument {
  return { type: 'doc', content: blocks(content) };
}

function blocks(nodes: readonly VisualNode[]): Block[] {
  return nodes.flatMap((node) => block(node));
}

function block({ type, attrs = {}, content = [] }: VisualNode): Block[] {
  const filled = (node: Block & { content: unknown[] }): Block[] => (node.content.length ? [node] : []);
  switch (type) {
    case 'paragraph':
      return filled({ type, content: lines(content) });
    case 'heading':
      return filled({ type, level: attrs.level as number, content: oneLine(content) });
    case 'rule':
      return [{ type }];
    case 'quote':
      return filled({ type, content: blocks(content) });
    case 'bulletList':
      return filled({ type, tight: tightness(attrs, content), content: items(content) });
    case 'orderedList':
      return filled({
        type,
        tight: tightness(attrs, content),
        start: attrs.start as number,
        content: items(content),
      });
    case 'table':
      return [table(attrs, content)];
    case 'code':
      return [{ type, language: String(attrs.language ?? ''), content: verbatim(content) }];
    case 'styled':
      return filled({ type, styles: attrs.styles as [], content: blocks(content) });
    default:
      return [structure({ type, attrs, content }, (child) => block(child)) as Block];
  }
}

/** Of one item with one block no text can say whether its list is tight. */
function tightness(attrs: Record<string, unknown>, content: readonly VisualNode[]): boolean {
  return content.length < 2 && (content[0]?.content?.length ?? 0) < 2 ? true : attrs.tight === true;
}

function items(nodes: readonly VisualNode[]): ListChild[] {
  return nodes.map(item);
}

function item(node: VisualNode): ListChild {
  if (node.type === 'listItem') return { type: 'listItem', content: blocks(node.content ?? []) };
  return structure(node, (child) => [item(child)]) as ListChild;
}

function table(attrs: Record<string, unknown>, [head, ...rest]: readonly VisualNode[]): Block {
  const columns = head?.content?.length ?? 0;
  const row = (node: VisualNode): Structured<TableRow> =>
    node.type === 'tableRow'
      ? { type: 'tableRow', content: cells(node, columns) }
      : (structure(node, (child) => [row(child)]) as Structured<TableRow>);
  const align = Array.from({ length: columns }, (_, i) => (attrs.align as [] | undefined)?.[i] ?? null);
  return {
    type: 'table',
    align,
    header: cells(head ?? { type: 'headerRow' }, columns),
    content: rest.map(row),
  };
}

function cells({ content = [] }: VisualNode, columns: number): TableCell[] {
  return Array.from({ length: columns }, (_, i) => ({
    type: 'tableCell',
    content: oneLine(content[i]?.content ?? []),
  }));
}

/** Words that may stand on several lines. */
function lines(nodes: readonly VisualNode[]): Inline[] {
  return withoutOuterBreaks(words(nodes, [], false));
}

/** Words where no line can end: a break is a space. */
function oneLine(nodes: readonly VisualNode[]): Inline[] {
  return words(nodes, [], true);
}

/** The words of code, which have no marks. */
function verbatim(nodes: readonly VisualNode[]): Inline[] {
  return joined(
    nodes.map((node) =>
      node.type === 'text' ? { type: 'text', text: node.text ?? '' } : word(node, [], true)[0]!,
    ),
  );
}

function words(nodes: readonly VisualNode[], around: readonly Mark[], oneLine: boolean): Inline[] {
  return joined(withoutLoneTags(nodes.flatMap((node) => word(node, around, oneLine))));
}

/** A tag alone on its line would be a block: a break before one is a space, and a structure has none at its ends. */
function withoutLoneTags(nodes: readonly Inline[]): Inline[] {
  const isBreak = (node: Inline | undefined) => !node || node.type === 'break';
  return nodes.map((node, i) => {
    const next = nodes[i + 1];
    const lone = next && structureOf(next.type) && isBreak(nodes[i + 2]);
    return node.type === 'break' && lone ? { type: 'text', text: ' ' } : node;
  });
}

function withoutOuterBreaks(nodes: readonly Inline[]): Inline[] {
  const kept = [...nodes];
  while (kept.at(-1)?.type === 'break') kept.pop();
  while (kept[0]?.type === 'break') kept.shift();
  return kept;
}

function word(node: VisualNode, around: readonly Mark[], oneLine: boolean): Inline[] {
  const own = (node.marks ?? []).map(asMark);
  // A link leads to one place: the outer one's.
  const linked = around.some(({ type }) => type === 'link');
  const marks = sortMarks([...around, ...own.filter(({ type }) => !linked || type !== 'link')]);
  // A structure has no looks of its own: its words have them.
  if (structureOf(node.type)) return [structure(node, (child) => word(child, marks, oneLine)) as Inline];
  const look = marks.length ? { marks } : {};
  if (node.type === 'text')
    return [{ type: 'text', text: (node.text ?? '').replace(/\s*\n\s*/g, ' '), ...look }];
  if (node.type === 'break') return [oneLine ? { type: 'text', text: ' ', ...look } : { type: 'break' }];
  return [{ type: node.type, ...said(node.attrs), ...look } as Inline];
}

/** Neighbouring text with the same marks as one; empty text goes. */
export function joined(nodes: readonly Inline[]): Inline[] {
  const out: Inline[] = [];
  for (const node of nodes) {
    if (node.type === 'text' && !node.text) continue;
    const last = out.at(-1);
    if (
      node.type === 'text' &&
      last?.type === 'text' &&
      JSON.stringify(last.marks) === JSON.stringify(node.marks)
    ) {
      out[out.length - 1] = { ...last, text: last.text + node.text };
    } else out.push(node);
  }
  return out;
}

function structure(
  { type, attrs = {}, content = [] }: VisualNode,
  each: (child: VisualNode) => unknown[],
): unknown {
  const kind = structureOf(type)!;
  const all = (children: readonly VisualNode[]) => {
    const read = children.flatMap(each);
    return type.startsWith('word') ? joined(withoutOuterBreaks(withoutLoneTags(read as Inline[]))) : read;
  };
  switch (kind) {
    case 'section':
      return {
        type: kind,
        path: attrs.path,
        steps: attrs.steps,
        inverted: attrs.inverted,
        content: all(content),
      };
    case 'when': {
      const [then, otherwise] = content;
      return {
        type: kind,
        condition: attrs.condition,
        content: all(then?.content ?? []),
        ...(otherwise ? { otherwise: all(otherwise.content ?? []) } : {}),
      };
    }
    default:
      return { type: kind, ...attrs };
  }
}

/** What an attribute says; an editor has every attribute, those that say nothing, too. */
function said(attrs: Record<string, unknown> = {}): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(attrs).filter(([, value]) => value !== null && value !== undefined),
  );
}

function asMark({ type, attrs }: VisualMark): Mark {
  return { type, ...said(attrs) } as Mark;
}

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
import { structureName, type Among, type VisualMark, type VisualNode } from './visualNode';

/** A template's document as an editor holds it. */
export function toVisual({ content }: TemplateDocument): VisualNode {
  return { type: 'doc', content: content.map(block) };
}

function block(node: Block): VisualNode {
  switch (node.type) {
    case 'paragraph':
      return { type: 'paragraph', content: words(node.content) };
    case 'heading':
      return { type: 'heading', attrs: { level: node.level }, content: words(node.content) };
    case 'rule':
      return { type: 'rule' };
    case 'quote':
      return { type: 'quote', content: node.content.map(block) };
    case 'bulletList':
      return { type: 'bulletList', attrs: { tight: node.tight }, content: node.content.map(item) };
    case 'orderedList':
      return {
        type: 'orderedList',
        attrs: { tight: node.tight, start: node.start },
        content: node.content.map(item),
      };
    case 'table':
      return {
        type: 'table',
        attrs: { align: node.align },
        content: [{ type: 'headerRow', content: node.header.map(cell) }, ...node.content.map(row)],
      };
    case 'code':
      return { type: 'code', attrs: { language: node.language }, content: words(node.content) };
    case 'styled':
      return { type: 'styled', attrs: { styles: node.styles }, content: node.content.map(block) };
    default:
      return structure(node, 'block', block);
  }
}

function item(node: ListChild): VisualNode {
  return node.type === 'listItem'
    ? { type: 'listItem', content: node.content.map(block) }
    : structure(node, 'item', item);
}

function row(node: Structured<TableRow>): VisualNode {
  return node.type === 'tableRow'
    ? { type: 'tableRow', content: node.content.map(cell) }
    : structure(node, 'row', row);
}

function cell({ content }: TableCell): VisualNode {
  return { type: 'tableCell', content: words(content) };
}

function words(nodes: readonly Inline[]): VisualNode[] {
  return nodes.map(word);
}

function word(node: Inline): VisualNode {
  const { marks } = node as { marks?: Mark[] };
  const visual = wordAlone(node);
  return marks?.length ? { ...visual, marks: marks.map(mark) } : visual;
}

function wordAlone(node: Inline): VisualNode {
  switch (node.type) {
    case 'text':
      return { type: 'text', text: node.text };
    case 'section':
    case 'when':
    case 'comment':
    case 'passage':
      return structure(node, 'word', word);
    default: {
      const { type, marks: _, ...attrs } = node;
      return Object.keys(attrs).length ? { type, attrs } : { type };
    }
  }
}

type AnyStructure<Child> = Exclude<Structured<Child>, Child> | { type: 'passage'; name: string };

function structure<Child>(
  node: AnyStructure<Child>,
  among: Among,
  each: (child: Child) => VisualNode,
): VisualNode {
  const all = (children: readonly unknown[]) => children.map((child) => each(child as Child));
  const type = structureName(node.type, among);
  switch (node.type) {
    case 'section': {
      const { path, steps, inverted } = node;
      return { type, attrs: { path, steps, inverted }, content: all(node.content) };
    }
    case 'when': {
      const branch = (children: readonly unknown[]) => ({
        type: structureName('branch', among),
        content: all(children),
      });
      const branches = [branch(node.content), ...(node.otherwise ? [branch(node.otherwise)] : [])];
      return { type, attrs: { condition: node.condition }, content: branches };
    }
    case 'comment':
      return { type, attrs: { words: node.words } };
    case 'passage':
      return { type, attrs: { name: node.name } };
  }
}

function mark(one: Mark): VisualMark {
  const { type, ...attrs } = one;
  return Object.keys(attrs).length ? { type, attrs } : { type };
}

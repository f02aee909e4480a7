import type { Node, Nodes, PhrasingContent } from 'mdast';
import { defaultHandlers, type Handle, type Join, type State } from 'mdast-util-to-markdown';
import type { Alignment } from '../../document/document';

/** Words in brackets with attributes. */
export interface Span extends Node {
  type: 'span';
  styles: string[];
  children: PhrasingContent[];
}

/** A tag or fence on a line of its own. `side` says where its content lies. */
export interface TagLineOut {
  type: 'tagLine';
  value: string;
  side: 'opens' | 'closes' | 'between' | 'alone';
}

/** A table whose rows may be tags alone on their line. */
export interface TableOut extends Node {
  type: 'pipeTable';
  rows: (PhrasingContent[][] | string)[];
  align: Alignment[];
}

declare module 'mdast' {
  interface PhrasingContentMap {
    span: Span;
  }
  interface RootContentMap {
    span: Span;
    pipeTable: TableOut;
  }
}

/** How the nodes that Markdown does not have are written, and those that carry attributes. */
export const HANDLERS = {
  tagLine: (node: TagLineOut) => node.value,
  span: (node: Span, _: unknown, state: State, info: Parameters<Handle>[3]) => {
    const exit = state.enter('label');
    const words = state.containerPhrasing(node as never, { ...info, before: '[', after: ']' });
    exit();
    return `[${words}]{${node.styles.map((style) => `.${style}`).join(' ')}}`;
  },
  link: ((node, parent, state, info) =>
    defaultHandlers.link(node, parent, state, info) + (node.attributes ?? '')) as Handle,
  image: ((node, parent, state, info) =>
    defaultHandlers.image(node, parent, state, info) + (node.attributes ?? '')) as Handle,
  // Tags between the items do not count.
  listItem: ((node, parent, state, info) => {
    const items = (parent?.children ?? []).filter((child: Nodes) => child.type === 'listItem');
    return defaultHandlers.listItem(node, { ...parent, children: items } as never, state, info);
  }) as Handle,
  pipeTable: (node: TableOut, _: unknown, state: State, info: Parameters<Handle>[3]) => {
    const exit = state.enter('tableCell' as never);
    const [header, ...body] = node.rows.map((row) => {
      if (typeof row === 'string') return row;
      const cells = row.map((children) => {
        const paragraph = { type: 'paragraph', children } as const;
        const leave = state.enter('phrasing');
        const words = state.containerPhrasing(paragraph, { ...info, before: ' ', after: ' ' });
        leave();
        return words ? ` ${words} ` : ' ';
      });
      return `|${cells.join('|')}|`;
    });
    exit();
    const rule = node.align.map((side) =>
      side === 'center' ? ':-:' : side === 'right' ? '--:' : side === 'left' ? ':--' : '---',
    );
    return [header, `|${rule.join('|')}|`, ...body].join('\n');
  },
};

/** No blank line between a section's tag and what it holds. */
export const tagLinesStandClose: Join = (left, right) => {
  const [l, r] = [left, right] as unknown as [TagLineOut, TagLineOut];
  if (l.type === 'tagLine' && (l.side === 'opens' || l.side === 'between')) return 0;
  if (r.type === 'tagLine' && (r.side === 'closes' || r.side === 'between')) return 0;
  if (l.type === 'tagLine' && l.side === 'alone' && right.type === 'paragraph') return 1;
  // So would a tag, or a table, right below a table.
  if ((left.type as string) === 'pipeTable') return 1;
  // Words right below a quotation or a list would go on in it.
  const holdsOn = left.type === 'blockquote' || left.type === 'list';
  if (holdsOn && (right.type === 'paragraph' || (right.type as string) === 'pipeTable')) return 1;
  return undefined;
};

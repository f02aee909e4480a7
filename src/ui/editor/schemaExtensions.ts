import { Mark, Node, type Attributes, type MarkConfig, type NodeConfig } from '@tiptap/core';
import { SAME_KIND, type DocumentSchema, type NodeKind } from '../../core/document/kinds';

/** How kinds look, are pasted and typed; what they hold and say is the document's schema. */
export type NodeLooks = Readonly<Record<string, Partial<NodeConfig>>>;
export type MarkLooks = Readonly<Record<string, Partial<MarkConfig>>>;

/** A kind of a document as a node of an editor. */
export function nodeOf(
  name: string,
  kind: NodeKind,
  group: string | undefined,
  look: Partial<NodeConfig>,
): Node {
  const inline = group === 'word' && name !== 'text';
  return Node.create({
    name,
    topNode: name === 'doc',
    // What a page begins with, where nothing says otherwise.
    priority: name === 'paragraph' ? 1000 : 100,
    ...(group ? { group } : {}),
    ...(kind.content ? { content: kind.content } : {}),
    ...(kind.marks === undefined ? {} : { marks: kind.marks }),
    ...(inline ? { inline } : {}),
    ...(inline && !kind.content && name !== 'break' ? { atom: true } : {}),
    addAttributes: () => hidden(kind.attributes),
    ...look,
  });
}

/** The nodes of an editor for the kinds of a document that stand in one place each. */
export function nodesOf({ nodes }: DocumentSchema, looks: NodeLooks): Node[] {
  return Object.entries(nodes)
    .filter(([, { groups, content }]) => groups.length < 2 && content !== SAME_KIND)
    .map(([name, kind]) => nodeOf(name, kind, kind.groups[0], looks[name] ?? {}));
}

/** The marks of an editor for those of a document, in their order. */
export function marksOf({ marks }: DocumentSchema, looks: MarkLooks): Mark[] {
  return Object.entries(marks).map(([name, attributes], i) =>
    Mark.create({
      name,
      priority: 1000 - i,
      // Words can have several styles.
      ...(name === 'style' ? { excludes: '' } : {}),
      addAttributes: () => hidden(attributes),
      ...looks[name],
    }),
  );
}

/** Attributes that are kept in the document, but never in the page's HTML: what is copied and put in elsewhere is the writer's own. */
function hidden(attributes: NodeKind['attributes']): Attributes {
  return Object.fromEntries(
    Object.entries(attributes).map(([name, { initial }]) => [name, { default: initial, rendered: false }]),
  );
}

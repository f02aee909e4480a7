import { Extension } from '@tiptap/core';
import type { Node as PageNode } from '@tiptap/pm/model';
import { Plugin, PluginKey } from '@tiptap/pm/state';
import { Decoration, DecorationSet } from '@tiptap/pm/view';

interface Looks {
  /** the ids of the places whose note is open */
  chosen: ReadonlySet<string>;
  drawn: DecorationSet;
}

const KEY = new PluginKey<Looks>('value looks');

/** Draws which values were changed by hand, and which one's note is open. */
export const ValueLooks = Extension.create({
  name: 'valueLooks',
  addProseMirrorPlugins() {
    return [
      new Plugin<Looks>({
        key: KEY,
        state: {
          init: (_, { doc }) => ({ chosen: new Set(), drawn: draw(doc, new Set()) }),
          apply: (transaction, before) => {
            const chosen = (transaction.getMeta(KEY) as ReadonlySet<string> | undefined) ?? before.chosen;
            if (!transaction.docChanged && chosen === before.chosen) return before;
            return { chosen, drawn: draw(transaction.doc, chosen) };
          },
        },
        props: { decorations: (state) => KEY.getState(state)?.drawn },
      }),
    ];
  },
});

/** The meta of a transaction that opens notes. */
export const chosenValues = KEY;

function draw(doc: PageNode, chosen: ReadonlySet<string>): DecorationSet {
  const drawn: Decoration[] = [];
  doc.descendants((block, start) => {
    if (!block.inlineContent) return true;
    for (const { id, said, words, from, to } of valuesIn(block)) {
      const looks = [words !== said ? 'value-changed' : '', chosen.has(id) ? 'value-chosen' : ''].filter(
        Boolean,
      );
      if (looks.length)
        drawn.push(Decoration.inline(start + 1 + from, start + 1 + to, { class: looks.join(' ') }));
    }
    block.forEach((node, at) => {
      if (node.type.name !== 'hole' || !chosen.has(node.attrs.id as string)) return;
      const from = start + 1 + at;
      drawn.push(Decoration.node(from, from + node.nodeSize, { class: 'hole-chosen' }));
    });
    return false;
  });
  return DecorationSet.create(doc, drawn);
}

interface Value {
  id: string;
  said: string;
  words: string;
  from: number;
  to: number;
}

function valuesIn(block: PageNode): Value[] {
  const values: Value[] = [];
  block.forEach((node, from) => {
    const mark = node.marks.find(({ type }) => type.name === 'value');
    if (!mark) return;
    const words = node.isText
      ? node.text!
      : node.type.name === 'break'
        ? '\n'
        : ((node.attrs.description as string) ?? '');
    const to = from + node.nodeSize;
    const last = values.at(-1);
    if (last?.id === mark.attrs.id && last?.to === from) {
      last.words += words;
      last.to = to;
    } else values.push({ id: mark.attrs.id as string, said: mark.attrs.said as string, words, from, to });
  });
  return values;
}

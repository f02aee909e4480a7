import { Node } from '@tiptap/core';
import { holeElement, type HoleOptions } from './holeElement';

/** A place where something is missing: one thing, never half-edited. A blank asks for its answer right there. */
export const Hole = Node.create<HoleOptions>({
  name: 'hole',
  inline: true,
  group: 'word',
  atom: true,
  addOptions: () => ({
    blankType: () => ({ kind: 'text' }),
    answer: () => undefined,
    answered: () => {},
    choose: () => {},
  }),
  addAttributes: () => ({
    id: { default: '', rendered: false },
    kind: { default: 'field', rendered: false },
    label: { default: '', rendered: false },
  }),
  renderHTML: ({ node }) => ['span', { class: 'hole' }, node.attrs.label],
  addNodeView() {
    return ({ node }) => {
      const element = holeElement(node.attrs as { id: string; kind: string; label: string }, this.options);
      return {
        dom: element,
        stopEvent: () => true,
        ignoreMutation: () => true,
        update: (other) =>
          other.type === node.type && JSON.stringify(other.attrs) === JSON.stringify(node.attrs),
      };
    };
  },
});

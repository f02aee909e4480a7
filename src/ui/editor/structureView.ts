import type { NodeViewRenderer } from '@tiptap/core';
import type { Node as PageNode } from '@tiptap/pm/model';
import type { When } from '../../core/document/templateDocument';
import { labelOf } from '../../core/fill/describe/labels';
import { openingOf } from '../../core/template/text/printLine';
import type { Place, Structure } from './structures';
import type { PagePencil } from './templateLooks';

/** The elements of a structure by where it stands: its own, a branch of it, and what its children stand in. */
const BUILT: Readonly<Record<Place, { own: string; branch: string; inner: string; className: string }>> = {
  block: { own: 'div', branch: 'div', inner: 'div', className: 'structure' },
  item: { own: 'li', branch: 'div', inner: 'ul', className: 'structure' },
  row: { own: 'tbody', branch: 'tbody', inner: 'tbody', className: 'structure-rows' },
  word: { own: 'span', branch: 'span', inner: 'span', className: 'structure-inline' },
};

/** Tells a structure that what it is called may have changed. */
export const RENAMED = 'fair-quill-renamed';

/** Text that repeats or hides: its opening in words above it, pressed to be changed. */
export function structureView(
  structure: Exclude<Structure, 'comment' | 'passage'>,
  place: Place,
  pencil: PagePencil,
): NodeViewRenderer {
  const { own, branch, inner, className } = BUILT[place];
  return ({ node: first, getPos, editor }) => {
    let node = first;
    const isBranch = structure === 'branch';
    const dom = document.createElement(isBranch ? branch : own);
    dom.className = isBranch ? 'branch' : className;
    const contentDOM = document.createElement(structure === 'when' ? branch : inner);
    // In a line it breaks as words do, which a button's element would not.
    const label = document.createElement('span');
    label.className = 'structure-label';
    label.contentEditable = 'false';
    const draw = () => {
      const words = isBranch ? 'Otherwise' : openingInWords(node, structure, pencil);
      label.textContent = place === 'word' ? `${isBranch ? ` ${words.toLowerCase()}` : words}: ` : words;
    };
    if (!isBranch) {
      const choose = () => {
        const at = getPos();
        if (at !== undefined) editor.commands.setNodeSelection(at);
      };
      label.setAttribute('role', 'button');
      label.tabIndex = 0;
      label.addEventListener('click', choose);
      label.addEventListener('keydown', (event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        choose();
      });
    }
    draw();
    dom.addEventListener(RENAMED, draw);
    dom.dataset.structure = structure;
    dom.append(place === 'row' ? inRow(label) : label, contentDOM);
    return {
      dom,
      contentDOM,
      update: (next) => {
        if (next.type !== node.type) return false;
        node = next;
        draw();
        return true;
      },
      ignoreMutation: (mutation) => mutation.type !== 'selection' && !contentDOM.contains(mutation.target),
      stopEvent: (event) => label.contains(event.target as Node),
    };
  };
}

function openingInWords(
  { attrs }: PageNode,
  structure: 'section' | 'when' | 'branch',
  { current }: PagePencil,
): string {
  return openingOf({ type: structure, attrs } as Pick<When<never>, 'type' | 'attrs'>, (tag) =>
    labelOf(tag, current.labels),
  );
}

function inRow(label: HTMLElement): HTMLElement {
  const row = document.createElement('tr');
  row.className = 'structure-row';
  row.contentEditable = 'false';
  const cell = document.createElement('td');
  // As wide as a table can be.
  cell.colSpan = 100;
  cell.append(label);
  row.append(cell);
  return row;
}

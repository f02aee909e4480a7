import type { NodeConfig } from '@tiptap/core';
import { alignments } from '../document/alignments';
import type { NodeLooks } from './schemaExtensions';

/** The line that a page begins with, where it has one. */
export const SUBJECT: Partial<NodeConfig> = {
  defining: true,
  isolating: true,
  renderHTML: () => ['p', { class: 'subject' }, 0],
  addKeyboardShortcuts() {
    return {
      Enter: ({ editor }) => {
        const { $from } = editor.state.selection;
        if ($from.parent.type.name !== 'subject') return false;
        return editor.commands.setTextSelection($from.after() + 1);
      },
    };
  },
};

/** How the blocks of every page look, in a template and in a letter: what they are pasted from, and their keys. */
export const BLOCK_LOOKS: NodeLooks = {
  paragraph: { defining: true, parseHTML: () => [{ tag: 'p' }], renderHTML: () => ['p', 0] },
  heading: {
    defining: true,
    parseHTML: () => [1, 2, 3, 4, 5, 6].map((level) => ({ tag: `h${level}`, attrs: { level } })),
    renderHTML: ({ node }) => ['p', { class: `letter-heading letter-heading-${node.attrs.level}` }, 0],
  },
  rule: { parseHTML: () => [{ tag: 'hr' }], renderHTML: () => ['hr'] },
  quote: {
    defining: true,
    parseHTML: () => [{ tag: 'blockquote' }],
    renderHTML: () => ['blockquote', 0],
  },
  bulletList: { parseHTML: () => [{ tag: 'ul' }], renderHTML: () => ['ul', 0] },
  orderedList: {
    parseHTML: () => [{ tag: 'ol' }],
    renderHTML: ({ node }) => ['ol', { start: node.attrs.start }, 0],
  },
  listItem: {
    defining: true,
    parseHTML: () => [{ tag: 'li' }],
    renderHTML: () => ['li', 0],
    addKeyboardShortcuts() {
      return {
        Enter: ({ editor }) => editor.commands.splitListItem('listItem'),
        Tab: ({ editor }) => editor.commands.sinkListItem('listItem'),
        'Shift-Tab': ({ editor }) => editor.commands.liftListItem('listItem'),
      };
    },
  },
  table: {
    isolating: true,
    parseHTML: () => [{ tag: 'table', getAttrs: (element) => ({ align: sidesOf(element) }) }],
    renderHTML: ({ node }) => ['table', { class: alignments(node.attrs.align as string[]) }, ['tbody', 0]],
  },
  tableRow: {
    parseHTML: () => [{ tag: 'tr', getAttrs: (element) => ({ header: isHeader(element) }) }],
    renderHTML: ({ node }) => ['tr', node.attrs.header ? { class: 'header-row' } : {}, 0],
  },
  tableCell: {
    isolating: true,
    parseHTML: () => [{ tag: 'td' }, { tag: 'th' }],
    renderHTML: () => ['td', 0],
  },
  codeBlock: {
    code: true,
    defining: true,
    parseHTML: () => [{ tag: 'pre', preserveWhitespace: 'full' as const }],
    renderHTML: () => ['pre', 0],
  },
  styled: {
    renderHTML: ({ node }) => [
      'div',
      { class: (node.attrs.styles as string[]).map((style) => `style-${style}`).join(' ') },
      0,
    ],
  },
  break: {
    selectable: false,
    linebreakReplacement: true,
    parseHTML: () => [{ tag: 'br' }],
    renderHTML: () => ['br'],
    addKeyboardShortcuts() {
      return { 'Shift-Enter': ({ editor }) => editor.commands.insertContent({ type: 'break' }) };
    },
  },
};

/** The sides of a pasted table's columns, by the cells of its first row. */
function sidesOf(table: HTMLElement): (string | null)[] {
  return [...(table.querySelector('tr')?.children ?? [])].map((cell) => {
    const side = (cell as HTMLElement).style.textAlign || cell.getAttribute('align');
    return side === 'right' || side === 'center' ? side : null;
  });
}

function isHeader(row: HTMLElement): boolean {
  return row.children.length > 0 && [...row.children].every(({ tagName }) => tagName === 'TH');
}

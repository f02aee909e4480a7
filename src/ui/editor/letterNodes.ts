import { LETTER } from '../../core/document/kinds';
import { alignments } from '../document/alignments';
import { pictureAddress } from '../document/pictureAddress';
import { nodesOf, type NodeLooks } from './schemaExtensions';

/** How the nodes of a letter look on the page, what they are pasted from, and their keys. */
const LOOKS: NodeLooks = {
  // What was chosen is part of the document, so that undoing goes back to it, too.
  doc: { addAttributes: () => ({ choices: { default: null, rendered: false } }) },
  subject: {
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
  },
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
  image: {
    // A picture from elsewhere is not fetched.
    renderHTML: ({ node }) => {
      const { source, description, width } = node.attrs;
      const src = pictureAddress(source as string);
      return src
        ? ['img', { class: 'letter-picture', src, alt: description, ...(width ? { width } : {}) }]
        : ['span', { class: 'letter-image' }, description || 'Picture'];
    },
  },
};

/** The nodes of a letter; what is missing in it is a node with a view of its own (./hole). */
export const LETTER_NODES = nodesOf(LETTER, LOOKS).filter(({ name }) => name !== 'hole');

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

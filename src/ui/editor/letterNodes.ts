import { pictureAddress } from '../letter/pictureAddress';
import { Node, type Attributes } from '@tiptap/core';
import { alignments } from '../letter/alignments';

/**
 * The nodes of a fair copy on the page: those of core/fairCopy/copyDocument, by the same names. Where a node came
 * from is kept in the document, but never in the page's HTML: what is copied and put in elsewhere is the writer's own.
 */
const hidden = (fallback: unknown = null): Attributes[string] => ({ default: fallback, rendered: false });
const ORIGIN = { origin: hidden(), behind: hidden() };

const TEXT_BLOCK = { content: 'inline*', group: 'block', defining: true };

export const LETTER_NODES = [
  Node.create({
    name: 'doc',
    topNode: true,
    content: 'subject block+',
    // What was chosen is part of the document, so that undoing goes back to it, too.
    addAttributes: () => ({ choices: hidden() }),
  }),
  Node.create({ name: 'text', group: 'inline' }),
  Node.create({
    name: 'subject',
    content: '(text | hole)*',
    marks: 'value',
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
  }),
  Node.create({
    name: 'paragraph',
    priority: 1000,
    ...TEXT_BLOCK,
    addAttributes: () => ORIGIN,
    parseHTML: () => [{ tag: 'p' }],
    renderHTML: () => ['p', 0],
  }),
  Node.create({
    name: 'heading',
    ...TEXT_BLOCK,
    addAttributes: () => ({ ...ORIGIN, level: hidden(1) }),
    parseHTML: () => [1, 2, 3, 4, 5, 6].map((level) => ({ tag: `h${level}`, attrs: { level } })),
    renderHTML: ({ node }) => ['p', { class: `letter-heading letter-heading-${node.attrs.level}` }, 0],
  }),
  Node.create({
    name: 'rule',
    group: 'block',
    addAttributes: () => ORIGIN,
    parseHTML: () => [{ tag: 'hr' }],
    renderHTML: () => ['hr'],
  }),
  Node.create({
    name: 'quote',
    content: 'block+',
    group: 'block',
    defining: true,
    addAttributes: () => ORIGIN,
    parseHTML: () => [{ tag: 'blockquote' }],
    renderHTML: () => ['blockquote', 0],
  }),
  Node.create({
    name: 'bulletList',
    content: 'listItem+',
    group: 'block',
    addAttributes: () => ({ ...ORIGIN, tight: hidden(false) }),
    parseHTML: () => [{ tag: 'ul' }],
    renderHTML: () => ['ul', 0],
  }),
  Node.create({
    name: 'orderedList',
    content: 'listItem+',
    group: 'block',
    addAttributes: () => ({ ...ORIGIN, tight: hidden(false), start: hidden(1) }),
    parseHTML: () => [{ tag: 'ol' }],
    renderHTML: ({ node }) => ['ol', { start: node.attrs.start }, 0],
  }),
  Node.create({
    name: 'listItem',
    content: 'block+',
    defining: true,
    addAttributes: () => ORIGIN,
    parseHTML: () => [{ tag: 'li' }],
    renderHTML: () => ['li', 0],
    addKeyboardShortcuts() {
      return {
        Enter: ({ editor }) => editor.commands.splitListItem('listItem'),
        Tab: ({ editor }) => editor.commands.sinkListItem('listItem'),
        'Shift-Tab': ({ editor }) => editor.commands.liftListItem('listItem'),
      };
    },
  }),
  Node.create({
    name: 'table',
    content: 'tableRow+',
    group: 'block',
    isolating: true,
    addAttributes: () => ({ ...ORIGIN, align: hidden([]) }),
    parseHTML: () => [{ tag: 'table', getAttrs: (element) => ({ align: sidesOf(element) }) }],
    renderHTML: ({ node }) => ['table', { class: alignments(node.attrs.align as string[]) }, ['tbody', 0]],
  }),
  Node.create({
    name: 'tableRow',
    content: 'tableCell+',
    addAttributes: () => ({ ...ORIGIN, header: hidden(false) }),
    parseHTML: () => [{ tag: 'tr', getAttrs: (element) => ({ header: isHeader(element) }) }],
    renderHTML: ({ node }) => ['tr', node.attrs.header ? { class: 'header-row' } : {}, 0],
  }),
  Node.create({
    name: 'tableCell',
    content: 'inline*',
    isolating: true,
    parseHTML: () => [{ tag: 'td' }, { tag: 'th' }],
    renderHTML: () => ['td', 0],
  }),
  Node.create({
    name: 'codeBlock',
    content: 'inline*',
    group: 'block',
    code: true,
    addAttributes: () => ORIGIN,
    parseHTML: () => [{ tag: 'pre', preserveWhitespace: 'full' as const }],
    renderHTML: () => ['pre', 0],
  }),
  Node.create({
    name: 'styled',
    content: 'block+',
    group: 'block',
    addAttributes: () => ({ ...ORIGIN, styles: hidden([]) }),
    renderHTML: ({ node }) => [
      'div',
      { class: (node.attrs.styles as string[]).map((style) => `style-${style}`).join(' ') },
      0,
    ],
  }),
  Node.create({
    name: 'break',
    inline: true,
    group: 'inline',
    selectable: false,
    linebreakReplacement: true,
    parseHTML: () => [{ tag: 'br' }],
    renderHTML: () => ['br'],
    addKeyboardShortcuts() {
      return { 'Shift-Enter': ({ editor }) => editor.commands.insertContent({ type: 'break' }) };
    },
  }),
  Node.create({
    name: 'image',
    inline: true,
    group: 'inline',
    atom: true,
    addAttributes: () => ({
      source: hidden(''),
      description: hidden(''),
      width: hidden(),
      link: hidden(),
      styles: hidden([]),
    }),
    // A picture from elsewhere is not fetched.
    renderHTML: ({ node }) => {
      const { source, description, width } = node.attrs;
      const src = pictureAddress(source as string);
      return src
        ? ['img', { class: 'letter-picture', src, alt: description, ...(width ? { width } : {}) }]
        : ['span', { class: 'letter-image' }, description || 'Picture'];
    },
  }),
];

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

import { Mark, Node, type Attributes } from '@tiptap/core';
import { structureName, type Among } from '../../core/template/visual/visualNode';

/**
 * What a template may hold while it is edited: the nodes and marks of core/template/visual. Whatever this schema lets
 * stand can be written as text (a test says so).
 */
const data = (fallback: unknown = null): Attributes[string] => ({ default: fallback, rendered: false });

const words = (name: string, attributes: Attributes) =>
  Node.create({
    name,
    inline: true,
    group: 'word',
    atom: true,
    addAttributes: () => attributes,
    renderHTML: () => ['span', { class: 'field' }],
  });

/** The structures among one kind of content: what repeats or hides, in branches, passages and comments. */
function structures(among: Among, content: string) {
  const name = (structure: 'section' | 'when' | 'branch' | 'comment' | 'passage') =>
    structureName(structure, among);
  const inline = among === 'word';
  const shared = { inline, group: among, marks: inline ? '_' : undefined };
  const tag = inline ? 'span' : 'div';
  const create = (config: Parameters<typeof Node.create>[0]) =>
    Node.create({ ...shared, renderHTML: () => [tag, { class: 'structure' }, 0], ...(config as object) });
  return [
    create({
      name: name('section'),
      content,
      addAttributes: () => ({ path: data('.'), steps: data([]), inverted: data(false) }),
    }),
    create({
      name: name('when'),
      content: `${name('branch')} ${name('branch')}?`,
      addAttributes: () => ({
        condition: data({ join: 'and', clauses: [{ path: 'invoice.is_paid', steps: [] }] }),
      }),
    }),
    create({ name: name('branch'), content, group: '' }),
    create({
      name: name('comment'),
      atom: true,
      addAttributes: () => ({ words: data('') }),
      renderHTML: () => [tag, { class: 'structure' }],
    }),
    // A passage is paragraphs or words: it cannot be an item or a row.
    ...(among === 'block' || inline
      ? [
          create({
            name: name('passage'),
            atom: true,
            addAttributes: () => ({ name: data('') }),
            renderHTML: () => [tag, { class: 'passage' }],
          }),
        ]
      : []),
  ];
}

const holder = (name: string, content: string, group: string, attributes: Attributes = {}) =>
  Node.create({ name, content, group, addAttributes: () => attributes, renderHTML: () => ['div', 0] });

export const TEMPLATE_NODES = [
  Node.create({ name: 'doc', topNode: true, content: 'block+' }),
  Node.create({ name: 'text', group: 'word' }),
  Node.create({
    name: 'paragraph',
    priority: 1000,
    content: 'word*',
    group: 'block',
    renderHTML: () => ['p', 0],
  }),
  holder('heading', 'word*', 'block', { level: data(1) }),
  Node.create({ name: 'rule', group: 'block', renderHTML: () => ['hr'] }),
  holder('quote', 'block+', 'block'),
  holder('bulletList', '(listItem | itemSection | itemWhen) item*', 'block', { tight: data(true) }),
  holder('orderedList', '(listItem | itemSection | itemWhen) item*', 'block', {
    tight: data(true),
    start: data(1),
  }),
  holder('listItem', 'block+', 'item'),
  holder('table', 'headerRow (tableRow | rowSection | rowWhen) row*', 'block', { align: data([]) }),
  holder('headerRow', 'tableCell+', ''),
  holder('tableRow', 'tableCell+', 'row'),
  holder('tableCell', 'word*', ''),
  Node.create({
    name: 'code',
    content: '(text | field | blank)*',
    group: 'block',
    marks: '',
    code: true,
    addAttributes: () => ({ language: data('') }),
    renderHTML: () => ['pre', 0],
  }),
  holder('styled', 'block+', 'block', { styles: data([]) }),
  ...structures('block', 'block+'),
  // Of a list or a table without a single item or row no text could be made.
  ...structures('item', 'listItem item*'),
  ...structures('row', 'tableRow row*'),
  ...structures('word', 'word*'),
  Node.create({ name: 'break', inline: true, group: 'word', renderHTML: () => ['br'] }),
  words('image', {
    source: data([]),
    description: data([]),
    width: data(undefined),
    link: data(undefined),
    styles: data(undefined),
  }),
  words('field', { path: data('client.name'), steps: data([]) }),
  words('blank', {
    name: data('Answer'),
    answer: data(undefined),
    default: data(undefined),
    steps: data([]),
  }),
  words('gap', { words: data('') }),
  words('unfinished', { words: data('') }),
  words('signature', {}),
];

const mark = (name: string, tag: string, attributes: Attributes = {}) =>
  Mark.create({
    name,
    excludes: name === 'style' ? '' : undefined,
    addAttributes: () => attributes,
    renderHTML: () => [tag, 0],
  });

export const TEMPLATE_MARKS = [
  mark('link', 'a', {
    address: data([]),
    title: data(undefined),
    button: data(false),
    styles: data([]),
  }),
  mark('style', 'span', { style: data('large') }),
  mark('italic', 'em'),
  mark('bold', 'strong'),
];

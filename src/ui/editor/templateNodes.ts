import type { Node } from '@tiptap/core';
import { TEMPLATE } from '../../core/document/kinds';
import { marksOf, nodeOf, nodesOf, type NodeLooks } from './schemaExtensions';
import { PLACES, STRUCTURES, structureName, type Place, type Structure } from './structures';

/**
 * What a template may hold while it is edited: its document's schema, where a list or a table has an item or a row that
 * is there, as no text could be made of it otherwise. Whatever this lets stand can be written as text (a test says so).
 */
const tag = (name: string) => ({ renderHTML: () => [name, 0] as const });
const field = { renderHTML: () => ['span', { class: 'field' }] as const };

const LIST = '(listItem | itemSection | itemWhen) item*';

const LOOKS: NodeLooks = {
  paragraph: tag('p'),
  heading: tag('div'),
  rule: { renderHTML: () => ['hr'] },
  quote: tag('blockquote'),
  bulletList: { ...tag('ul'), content: LIST },
  orderedList: { ...tag('ol'), content: LIST },
  listItem: tag('li'),
  table: { ...tag('table'), content: 'tableRow (tableRow | rowSection | rowWhen) row*' },
  tableRow: tag('tr'),
  tableCell: tag('td'),
  codeBlock: { ...tag('pre'), code: true },
  styled: tag('div'),
  break: { renderHTML: () => ['br'] },
  image: field,
  field,
  blank: field,
  gap: field,
  unfinished: field,
  signature: field,
};

/** What stands in a structure: something of the place it stands in, that no text could leave out. */
const HELD: Readonly<Record<Place, string>> = {
  block: 'block+',
  item: 'listItem item*',
  row: 'tableRow row*',
  word: 'word*',
};

function structure(name: Structure, place: Place): Node[] {
  const kind = TEMPLATE.nodes[name]!;
  const among = name !== 'branch';
  if (among && !kind.groups.includes(place)) return [];
  const content =
    name === 'when' ? kind.content.replaceAll('branch', structureName('branch', place)) : HELD[place];
  const look = kind.content ? { content, ...tag(place === 'word' ? 'span' : 'div') } : field;
  const inline = place === 'word' ? { inline: true, marks: '_' } : {};
  return [nodeOf(structureName(name, place), kind, among ? place : undefined, { ...look, ...inline })];
}

export const TEMPLATE_NODES = [
  ...nodesOf(TEMPLATE, LOOKS),
  ...PLACES.flatMap((place) => STRUCTURES.flatMap((name) => structure(name, place))),
];

export const TEMPLATE_MARKS = marksOf(TEMPLATE, {
  link: { renderHTML: () => ['a', 0] },
  style: { renderHTML: () => ['span', 0] },
  italic: { renderHTML: () => ['em', 0] },
  bold: { renderHTML: () => ['strong', 0] },
  code: { renderHTML: () => ['code', 0] },
});

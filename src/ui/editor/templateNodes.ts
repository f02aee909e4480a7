import type { Node, NodeConfig } from '@tiptap/core';
import { TEMPLATE, type NodeKind } from '../../core/document/kinds';
import { BLOCK_LOOKS, SUBJECT } from './blockLooks';
import { passageView } from './passageView';
import { marksOf, nodeOf, nodesOf, type NodeLooks } from './schemaExtensions';
import { PLACES, STRUCTURES, structureName, type Place, type Structure } from './structures';
import { structureView } from './structureView';
import { COMMENT, readTagOf, tagNode, TEMPLATE_IMAGE, type PagePencil } from './templateLooks';
import { linkClass, pastedLink, WORD_LOOKS } from './wordLooks';
import { printTag } from '../../core/template/tags/printTag';

/**
 * What a template may hold while it is edited: its document's schema, where a list or a table has an item or a row that
 * is there, as no text could be made of it otherwise. Whatever this lets stand can be written as text (a test says so).
 */
const LIST = '(listItem | itemSection | itemWhen) item*';

const looksWith = (pencil: PagePencil): NodeLooks => ({
  ...BLOCK_LOOKS,
  bulletList: { ...BLOCK_LOOKS.bulletList, content: LIST },
  orderedList: { ...BLOCK_LOOKS.orderedList, content: LIST },
  table: { ...BLOCK_LOOKS.table, content: 'tableRow (tableRow | rowSection | rowWhen) row*' },
  image: TEMPLATE_IMAGE,
  ...Object.fromEntries(
    ['field', 'blank', 'gap', 'unfinished', 'signature'].map((name) => [name, tagNode(name, pencil)]),
  ),
});

/** What stands in a structure: something of the place it stands in, that no text could leave out. */
const HELD: Readonly<Record<Place, string>> = {
  block: 'block+',
  item: 'listItem item*',
  row: 'tableRow row*',
  word: 'word*',
};

function structure(name: Structure, place: Place, pencil: PagePencil): Node[] {
  const kind = TEMPLATE.nodes[name]!;
  const among = name !== 'branch';
  if (among && !kind.groups.includes(place)) return [];
  const content =
    name === 'when' ? kind.content.replaceAll('branch', structureName('branch', place)) : HELD[place];
  const own = structureName(name, place);
  const look: Partial<NodeConfig> = kind.content
    ? { content, ...structureLook(name as 'section' | 'when' | 'branch', place, pencil) }
    : name === 'comment'
      ? COMMENT
      : place === 'block'
        ? passageLook(pencil)
        : tagNode(own, pencil);
  const inline = place === 'word' ? { inline: true, marks: '_' } : {};
  return [nodeOf(own, kind, among ? place : undefined, { ...look, ...inline })];
}

/** A structure is copied with its opening tag, and put in again as one where that can be read. */
function structureLook(
  name: 'section' | 'when' | 'branch',
  place: Place,
  pencil: PagePencil,
): Partial<NodeConfig> {
  const own = structureName(name, place);
  const element = place === 'word' ? 'span' : 'div';
  return {
    ...(name === 'branch' ? {} : { defining: true }),
    addNodeView: () => structureView(name, place, pencil),
    parseHTML: () => [
      {
        tag: `${element}[data-structure="${own}"]`,
        priority: 70,
        getAttrs: (dom) => {
          if (name === 'branch') return {};
          const tag = readTagOf(dom);
          if (name === 'when') return tag?.type === 'open when' ? { condition: tag.condition } : false;
          if (tag?.type !== 'open') return false;
          return { path: tag.path, steps: tag.steps, inverted: tag.inverted === true };
        },
      },
    ],
    renderHTML: ({ node: { attrs } }) => {
      const opening =
        name === 'branch'
          ? {}
          : {
              'data-tag': printTag(
                (name === 'when' ? { type: 'open when', ...attrs } : { type: 'open', ...attrs }) as never,
              ),
            };
      return [element, { 'data-structure': own, ...opening }, 0];
    },
  };
}

function passageLook(pencil: PagePencil): Partial<NodeConfig> {
  return {
    draggable: true,
    addNodeView: () => passageView(pencil),
    parseHTML: () => [
      {
        tag: 'div[data-tag]',
        priority: 60,
        getAttrs: (dom) => {
          const tag = readTagOf(dom);
          return tag?.type === 'passage' ? tag.attrs : false;
        },
      },
    ],
    renderHTML: ({ node }) => {
      const passage = node.attrs.passage as string;
      const name = pencil.current.passages.get(passage)?.name ?? passage;
      return [
        'div',
        { class: 'passage', 'data-tag': printTag({ type: 'passage', attrs: { passage } }) },
        name,
      ];
    },
  };
}

/** What stands in a subject: words and what is said in a line, without looks. */
const SUBJECT_KIND: NodeKind = {
  groups: [],
  content: '(text | field | blank | gap | unfinished | wordSection | wordWhen | wordPassage | wordComment)*',
  attributes: {},
  marks: '',
};

/**
 * The nodes of a template's page.
 * @param hasSubject whether it begins with a subject, as a letter's template does
 */
export function templateNodes(pencil: PagePencil, { hasSubject }: { hasSubject: boolean }): Node[] {
  const nodes = [
    ...nodesOf(TEMPLATE, {
      ...looksWith(pencil),
      ...(hasSubject ? { doc: { content: 'subject block+' } } : {}),
    }),
    ...PLACES.flatMap((place) => STRUCTURES.flatMap((name) => structure(name, place, pencil))),
  ];
  return hasSubject ? [...nodes, nodeOf('subject', SUBJECT_KIND, undefined, SUBJECT)] : nodes;
}

/** The marks of a template's page. */
export const TEMPLATE_MARKS = marksOf(TEMPLATE, {
  link: {
    inclusive: false,
    parseHTML: () => pastedLink((address) => [{ type: 'text', text: address }]),
    renderHTML: ({ mark }) => ['span', { class: linkClass(mark.attrs) }, 0],
  },
  ...WORD_LOOKS,
});

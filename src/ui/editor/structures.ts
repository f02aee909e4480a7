/**
 * What a structure of a template holds depends on where it stands, and an editor tells kinds of content by kinds of node:
 * so a section among blocks, items, rows and words has four names in an editor, and one in a document.
 */

/** Where a structure stands: among blocks, in a list, in a table, in a line. */
export const PLACES = ['block', 'item', 'row', 'word'] as const;
export type Place = (typeof PLACES)[number];

export const STRUCTURES = ['section', 'when', 'branch', 'comment', 'passage'] as const;
export type Structure = (typeof STRUCTURES)[number];

interface Json {
  type: string;
  content?: Json[];
}

/** A structure's name in the editor: `section`, `itemSection`, `rowSection`, `wordSection`. */
export function structureName(structure: Structure, place: Place): string {
  return place === 'block' ? structure : place + structure.charAt(0).toUpperCase() + structure.slice(1);
}

/** What a node of the editor is in a document: `section` for `rowSection`. */
export const kindInDocument = (name: string): string => STRUCTURE_OF.get(name) ?? name;

const STRUCTURE_OF: ReadonlyMap<string, Structure> = new Map(
  STRUCTURES.flatMap((one) => PLACES.map((place) => [structureName(one, place), one] as const)),
);

/** What stands in a node of its own kind; a structure's children stand where it stands. */
const HOLDS: Readonly<Record<string, Place>> = {
  bulletList: 'item',
  orderedList: 'item',
  table: 'row',
  subject: 'word',
  paragraph: 'word',
  heading: 'word',
  codeBlock: 'word',
  tableCell: 'word',
};

/** A template's document as an editor holds it. */
export function toEditor<Node extends { type: string }>(document: Node): Json {
  return named(document, 'block');
}

function named(node: Json, place: Place): Json {
  const structure = STRUCTURE_OF.get(node.type);
  const inside = structure ? place : (HOLDS[node.type] ?? 'block');
  return {
    ...node,
    type: structure ? structureName(structure, place) : node.type,
    ...(node.content ? { content: node.content.map((child) => named(child, inside)) } : {}),
  };
}

/** What an editor holds, as a template's document. */
export function fromEditor(node: Json): Json {
  return {
    ...node,
    type: kindInDocument(node.type),
    ...(node.content ? { content: node.content.map(fromEditor) } : {}),
  };
}

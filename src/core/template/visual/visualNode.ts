import type { Mark } from '../document';

/**
 * A template as an editor holds it: JSON of nodes with attributes, content and marks. What a structure holds depends on
 * where it stands, and an editor tells kinds of content by kinds of node: so a section among blocks, items, rows and
 * words has four names.
 */
export interface VisualNode {
  type: string;
  attrs?: Record<string, unknown>;
  content?: VisualNode[];
  marks?: VisualMark[];
  text?: string;
}

export interface VisualMark {
  type: Mark['type'];
  attrs?: Record<string, unknown>;
}

/** Where a structure stands: among blocks, in a list, in a table, in a line. */
export type Among = 'block' | 'item' | 'row' | 'word';

const STRUCTURES = ['section', 'when', 'branch', 'comment', 'passage'] as const;
export type Structure = (typeof STRUCTURES)[number];

/** A structure's name in the editor: `section`, `itemSection`, `rowSection`, `wordSection`. */
export function structureName(structure: Structure, among: Among): string {
  return among === 'block' ? structure : among + structure.charAt(0).toUpperCase() + structure.slice(1);
}

/** The structure that a name of the editor stands for; undefined for any other node. */
export function structureOf(name: string): Structure | undefined {
  return STRUCTURES.find(
    (one) => name === one || (/^(?:item|row|word)/.test(name) && name.toLowerCase().endsWith(one)),
  );
}

import type { Atom, Comment, PassageUse } from '../../document/templateDocument';
import type { Style } from '../../document/document';
import type { Condition, Step } from '../../document/step';

/** One tag as read: something that stands in the text, or one end of a structure. */
export type Tag = Atom | Comment | PassageUse | StructureTag;

/** `:::` fences count as tags: they pair up like sections. */
export type StructureTag =
  | { type: 'open block'; styles: Style[] }
  | { type: 'close block' }
  | { type: 'open'; path: string; steps: Step[]; inverted?: boolean }
  | { type: 'close'; path: string }
  | { type: 'open when'; condition: Condition }
  | { type: 'otherwise' }
  | { type: 'close when' };

const STRUCTURE = new Set([
  'open',
  'close',
  'open when',
  'otherwise',
  'close when',
  'open block',
  'close block',
]);

/** Whether a tag is one end of a structure, not something that stands in the text. */
export function isStructure(tag: { type: string }): tag is StructureTag {
  return STRUCTURE.has(tag.type);
}

/** Whether a tag alone on its line is a block and leaves no line behind. */
export function mayStandAlone(tag: { type: string }): boolean {
  return isStructure(tag) || tag.type === 'comment' || tag.type === 'passage';
}

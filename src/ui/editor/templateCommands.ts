import type { Editor } from '@tiptap/core';
import type { Node as PageNode } from '@tiptap/pm/model';
import { NodeSelection, TextSelection } from '@tiptap/pm/state';
import type { Field } from '../../core/document/templateDocument';

/** Puts a tag in at the cursor, in the looks of the words around it; what is selected goes. Gives whether it can stand there. */
export function putTag(editor: Editor, tag: { type: string; attrs?: object }): boolean {
  const { state, view } = editor;
  const { $from } = state.selection;
  const node = state.schema.nodeFromJSON(tag);
  if (!$from.parent.inlineContent || !$from.parent.type.contentMatch.matchType(node.type)) return false;
  view.dispatch(state.tr.replaceSelectionWith(node, true).scrollIntoView());
  return true;
}

/** Changes what a thing on the page says; it stays chosen. */
export function setAttributes(editor: Editor, at: number, attrs: object): void {
  const { state, view } = editor;
  const node = state.doc.nodeAt(at);
  if (!node) return;
  const transaction = state.tr.setNodeMarkup(at, undefined, { ...node.attrs, ...attrs });
  if (state.selection.from === at && state.selection instanceof NodeSelection)
    transaction.setSelection(NodeSelection.create(transaction.doc, at));
  view.dispatch(transaction);
}

/** A field, and where it stands on the page. */
export interface FieldAt {
  at: number;
  attrs: Field['attrs'];
}

/** Every field of a page. */
export function fieldsIn(doc: PageNode): FieldAt[] {
  const found: FieldAt[] = [];
  doc.descendants((node, at) => {
    if (node.type.name === 'field') found.push({ at, attrs: node.attrs as Field['attrs'] });
  });
  return found;
}

/** Changes fields in one step; what is chosen stays chosen. */
export function changeFields(editor: Editor, fields: readonly FieldAt[]): void {
  const { state, view } = editor;
  const transaction = state.tr;
  for (const { at, attrs } of fields) transaction.setNodeMarkup(at, undefined, attrs);
  if (state.selection instanceof NodeSelection)
    transaction.setSelection(NodeSelection.create(transaction.doc, state.selection.from));
  view.dispatch(transaction);
}

/** Takes a thing out of the page. */
export function takeOut(editor: Editor, at: number): void {
  const { state, view } = editor;
  const node = state.doc.nodeAt(at);
  if (!node) return;
  const transaction = state.tr.deleteRange(at, at + node.nodeSize);
  const place = Math.min(at, transaction.doc.content.size);
  view.dispatch(transaction.setSelection(TextSelection.near(transaction.doc.resolve(place))));
  view.focus();
}

/** Puts a picture in and chooses it; where none can stand among the words, in a line of its own behind them. */
export function putPicture(editor: Editor, at: number, attrs: object): void {
  const { state, view, schema } = editor;
  const picture = schema.nodes.image!.create(attrs);
  const place = state.doc.resolve(Math.min(at, state.doc.content.size));
  const { parent } = place;
  const isAmongWords = parent.inlineContent && parent.type.contentMatch.matchType(picture.type) !== null;
  const transaction = state.tr;
  if (isAmongWords && parent.type.name !== 'subject') {
    transaction.insert(place.pos, picture);
    transaction.setSelection(NodeSelection.create(transaction.doc, place.pos));
  } else {
    const line = schema.nodes.paragraph!.create(null, picture);
    const behind = place.depth === 0 ? place.pos : place.after(1);
    transaction.insert(behind, line);
    transaction.setSelection(NodeSelection.create(transaction.doc, behind + 1));
  }
  view.dispatch(transaction.scrollIntoView());
}

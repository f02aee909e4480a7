import type { Editor } from '@tiptap/core';
import { Fragment, type Node as PageNode, type NodeType, type ResolvedPos } from '@tiptap/pm/model';
import { NodeSelection, TextSelection, type Transaction } from '@tiptap/pm/state';
import type { Condition } from '../../core/document/step';

/** The name of a branch of an only-when, which stands among what that stands among. */
const branchOf = (name: string) => name.replace(/when$/, 'branch').replace(/When$/, 'Branch');

/**
 * Lets what is selected stand only when something is so: some words of a line, a row of a table, or the whole paragraphs
 * that the selection touches. It is chosen then. Gives whether it can.
 */
export function onlyWhen(editor: Editor, condition: Condition): boolean {
  const { state } = editor;
  const { $from, $to, from, to, empty } = state.selection;
  const isLine = $from.parent.type.name === 'subject';
  const { schema } = editor;
  const isPart = !empty && $from.sameParent($to) && holds($from.parent, schema.nodes.wordWhen!);
  const isWhole = isPart && from === $from.start() && to === $from.end() && !isLine;
  if (isLine || (isPart && !isWhole && $from.parent.type.name !== 'tableCell')) {
    const [start, end] = isPart ? [from, to] : [$from.start(), $from.end()];
    return wrap(
      editor,
      'wordWhen',
      condition,
      start,
      end,
      $from.parent.slice(start - $from.start(), end - $from.start()).content,
    );
  }
  const row = depthOf($from, 'tableRow');
  if (row > 0) {
    // The head of a table always stands.
    if ($from.index(row - 1) === 0 && $from.node(row - 1).type.name === 'table') return false;
    return wrap(
      editor,
      'rowWhen',
      condition,
      $from.before(row),
      $from.after(row),
      Fragment.from($from.node(row)),
    );
  }
  const range = $from.blockRange(
    $to,
    (parent) => parent.type.name === 'doc' || holds(parent, schema.nodes.when!),
  );
  if (!range) return false;
  const { parent, endIndex, end } = range;
  // The subject stays where it is.
  const first = parent.firstChild!.type.name === 'subject' ? Math.max(1, range.startIndex) : range.startIndex;
  const start = first === range.startIndex ? range.start : range.start + parent.firstChild!.nodeSize;
  if (first >= endIndex) return false;
  return wrap(editor, 'when', condition, start, end, Fragment.from(parent.children.slice(first, endIndex)));
}

function holds({ type }: PageNode, kind: NodeType): boolean {
  return type.contentMatch.matchType(kind) !== null;
}

function wrap(
  { state, view, schema }: Editor,
  name: string,
  condition: Condition,
  start: number,
  end: number,
  content: Fragment,
): boolean {
  const branch = schema.nodes[branchOf(name)]!.createChecked(null, content);
  const transaction = state.tr.replaceWith(
    start,
    end,
    schema.nodes[name]!.createChecked({ condition }, branch),
  );
  view.dispatch(transaction.setSelection(NodeSelection.create(transaction.doc, start)).scrollIntoView());
  return true;
}

/** Says something otherwise, or nothing any more. */
export function turnOtherwise({ state, view, schema }: Editor, at: number): void {
  const node = state.doc.nodeAt(at);
  if (!node) return;
  const { tr } = state;
  if (node.childCount === 2) {
    const second = at + 1 + node.firstChild!.nodeSize;
    tr.delete(second, second + node.child(1).nodeSize);
    return view.dispatch(tr.setSelection(NodeSelection.create(tr.doc, at)));
  }
  const end = at + node.nodeSize - 1;
  tr.insert(end, schema.nodes[branchOf(node.type.name)]!.createAndFill()!);
  view.dispatch(tr.setSelection(TextSelection.near(tr.doc.resolve(end + 1))).scrollIntoView());
  view.focus();
}

/** Lets what is in a structure stand by itself. */
export function unwrap({ state, view }: Editor, at: number): void {
  const node = state.doc.nodeAt(at);
  if (!node) return;
  const { content } = /when$/i.test(node.type.name) ? node.firstChild! : node;
  const { tr } = state;
  tr.replaceWith(at, at + node.nodeSize, content);
  view.dispatch(tr.setSelection(TextSelection.near(tr.doc.resolve(at))));
  view.focus();
}

/** Puts a block in behind the one that the cursor is in; in the place of an empty paragraph. */
export function putBlock({ state, view, schema }: Editor, json: object): void {
  const node = schema.nodeFromJSON(json);
  const { $from } = state.selection;
  let depth = $from.depth;
  while (depth > 1 && !accepts($from, depth, node)) depth--;
  const { tr } = state;
  const block = $from.node(depth);
  const isEmpty = depth > 0 && block?.type.name === 'paragraph' && block.content.size === 0;
  const at = depth === 0 ? $from.pos : isEmpty ? $from.before(depth) : $from.after(depth);
  if (isEmpty) tr.replaceWith(at, $from.after(depth), node);
  else tr.insert(at, node);
  view.dispatch(select(tr, at, node).scrollIntoView());
  view.focus();
}

function accepts($from: ResolvedPos, depth: number, node: PageNode): boolean {
  const parent = $from.node(depth - 1);
  const after = $from.indexAfter(depth - 1);
  return parent.canReplaceWith(after, after, node.type);
}

/** What has words is written in; anything else is chosen. */
function select(tr: Transaction, at: number, node: PageNode): Transaction {
  if (node.isAtom) return tr.setSelection(NodeSelection.create(tr.doc, at));
  return tr.setSelection(TextSelection.near(tr.doc.resolve(at + 1)));
}

/** How deep the innermost node of a kind around a place is; 0: there is none. */
export function depthOf($from: ResolvedPos, name: string): number {
  for (let depth = $from.depth; depth > 0; depth--) if ($from.node(depth).type.name === name) return depth;
  return 0;
}

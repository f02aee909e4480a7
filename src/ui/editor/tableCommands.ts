import type { Editor } from '@tiptap/core';
import type { Node as PageNode } from '@tiptap/pm/model';
import { TextSelection } from '@tiptap/pm/state';
import type { Alignment } from '../../core/document/document';
import { depthOf } from './structureCommands';

/** What can be done to the table that the cursor is in. */
export const TABLE_ACTS = [
  'row below',
  'row up',
  'row down',
  'row out',
  'column beside',
  'column left',
  'column right',
  'column out',
  'table out',
] as const;
export type TableAct = (typeof TABLE_ACTS)[number];

/** Changes the table that the cursor is in. Its head stays, and a last row or column is not taken out. */
export function changeTable(editor: Editor, act: TableAct): void {
  const { state, view, schema } = editor;
  const { $from } = state.selection;
  const [table, row, cell] = ['table', 'tableRow', 'tableCell'].map((name) => depthOf($from, name)) as [
    number,
    number,
    number,
  ];
  if (!table || !row || !cell) return;
  const { tr } = state;
  const column = $from.index(row);
  switch (act) {
    case 'row below': {
      const cells = Array.from({ length: $from.node(row).childCount }, () =>
        schema.nodes.tableCell!.create(),
      );
      const at = $from.after(row);
      tr.insert(at, schema.nodes.tableRow!.create(null, cells));
      tr.setSelection(TextSelection.near(tr.doc.resolve(at + 2)));
      break;
    }
    case 'row up':
    case 'row down': {
      const around = $from.node(row - 1);
      const index = $from.index(row - 1);
      // The head stays where it is, and a row stays among those it depends with.
      const first = around.type.name === 'table' ? 1 : 0;
      const upper = act === 'row up' ? index - 1 : index;
      if (index < first || upper < first || upper + 1 >= around.childCount) return;
      const from = tr.doc.resolve($from.start(row - 1)).posAtIndex(upper, row - 1);
      const [one, other] = [around.child(upper), around.child(upper + 1)];
      tr.replaceWith(from, from + one.nodeSize + other.nodeSize, [other, one]);
      const moved = act === 'row up' ? from : from + other.nodeSize;
      tr.setSelection(TextSelection.near(tr.doc.resolve(moved + ($from.pos - $from.before(row)))));
      break;
    }
    case 'column left':
    case 'column right': {
      const node = $from.node(table);
      const align = [...(node.attrs.align as Alignment[])];
      const left = act === 'column left' ? column - 1 : column;
      if (left < 0 || left + 1 >= align.length) return;
      align.splice(left, 2, align[left + 1]!, align[left]!);
      for (const { at, node: one } of rowsOf(node, $from.start(table)).reverse()) {
        const place = cellsOf(one, at)[left];
        if (!place || left + 1 >= one.childCount) continue;
        const [a, b] = [one.child(left), one.child(left + 1)];
        tr.replaceWith(place.at, place.at + a.nodeSize + b.nodeSize, [b, a]);
      }
      tr.setNodeAttribute($from.before(table), 'align', align);
      const beside = $from.node(row).child(act === 'column left' ? left : left + 1).nodeSize;
      const moved = act === 'column left' ? $from.pos - beside : $from.pos + beside;
      tr.setSelection(TextSelection.near(tr.doc.resolve(moved)));
      break;
    }
    case 'row out': {
      const parent = $from.node(row - 1);
      const isHead = parent.type.name === 'table' && $from.index(row - 1) === 0;
      const rows = parent.children.filter(({ type }) => type.name === 'tableRow').length;
      if (isHead || (parent.type.name !== 'table' && rows === 1)) return;
      // Beside its head a table has a row.
      if (parent.type.name === 'table' && parent.childCount === 2) return;
      tr.delete($from.before(row), $from.after(row));
      break;
    }
    case 'table out':
      tr.delete($from.before(table), $from.after(table));
      tr.setSelection(TextSelection.near(tr.doc.resolve(Math.min($from.before(table), tr.doc.content.size))));
      break;
    default: {
      const node = $from.node(table);
      const align = [...(node.attrs.align as Alignment[])];
      if (act === 'column out' && align.length < 2) return;
      if (act === 'column out') align.splice(column, 1);
      else align.splice(column + 1, 0, null);
      // From the last row to the first, so that places before stay as they are.
      for (const { at, node: one } of rowsOf(node, $from.start(table)).reverse()) {
        const places = cellsOf(one, at);
        const here = places[column];
        if (!here) continue;
        if (act === 'column out') tr.delete(here.at, here.at + here.size);
        else tr.insert(here.at + here.size, schema.nodes.tableCell!.create());
      }
      tr.setNodeAttribute($from.before(table), 'align', align);
    }
  }
  view.dispatch(tr.scrollIntoView());
  view.focus();
}

function rowsOf(table: PageNode, start: number): { at: number; node: PageNode }[] {
  const rows: { at: number; node: PageNode }[] = [];
  table.descendants((node, at) => {
    if (node.type.name === 'tableRow') rows.push({ at: start + at, node });
    return node.type.name !== 'tableRow';
  });
  return rows;
}

function cellsOf(row: PageNode, at: number): { at: number; size: number }[] {
  const cells: { at: number; size: number }[] = [];
  row.forEach((cell, offset) => cells.push({ at: at + 1 + offset, size: cell.nodeSize }));
  return cells;
}

import type { OfferedField } from '../../../core/fields/fieldsAt';
import { capital } from '../../../core/describe/capital';

/** How records are repeated in the text. */
export type Shape = 'sentence' | 'bullets' | 'table';

/** What a list is as a listing in the editor's document: its names among each other, an item each, or a row each. */
export function listingOf(path: string, shape: Shape, columns: readonly OfferedField[]): { type: string } {
  const section = { path, steps: [] };
  const field = (column: OfferedField) => ({ type: 'field', attrs: { path: column.path, steps: [] } });
  if (shape === 'sentence' || columns.length === 0)
    return { type: 'field', attrs: section } as { type: string };
  if (shape === 'bullets') {
    const words = columns.flatMap((column, i) => [
      ...(i ? [{ type: 'text', text: ', ' }] : []),
      field(column),
    ]);
    const item = { type: 'listItem', content: [{ type: 'paragraph', content: words }] };
    return {
      type: 'bulletList',
      attrs: { tight: true },
      content: [{ type: 'itemSection', attrs: section, content: [item] }],
    } as { type: string };
  }
  const isSum = ({ type: { kind } }: OfferedField) =>
    ['money', 'number', 'percent', 'duration'].includes(kind);
  const row = (cells: object[][], header: boolean) => ({
    type: 'tableRow',
    attrs: { header },
    content: cells.map((content) => ({ type: 'tableCell', content })),
  });
  const head = columns.map(({ label }) => [{ type: 'text', text: capital(label) }]);
  return {
    type: 'table',
    attrs: { align: columns.map((column) => (isSum(column) ? 'right' : null)) },
    content: [
      row(head, true),
      {
        type: 'rowSection',
        attrs: section,
        content: [
          row(
            columns.map((column) => [field(column)]),
            false,
          ),
        ],
      },
    ],
  } as { type: string };
}

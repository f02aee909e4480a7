/** The columns of a table that stand to the right or in the middle, as classes of the table. */
export function alignments(align: readonly (string | null)[]): string {
  return align
    .flatMap((side, i) => (side === 'right' || side === 'center' ? [`column-${i + 1}-${side}`] : []))
    .join(' ');
}

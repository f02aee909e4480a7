import type { Block, Branch, Inline, ListChild, Row, TableCell } from './templateDocument';

/** Whatever stands in a template. */
export type Part =
  | Block
  | Inline
  | ListChild
  | Row
  | TableCell
  | Branch<Block>
  | Branch<Inline>
  | Branch<ListChild>
  | Branch<Row>;

/** What stands directly in a part: its content, the words of a picture, the addresses of its links. */
export function partsIn(part: Part): Part[] {
  const parts: Part[] = [];
  if (part.type === 'image') {
    const { source, description, link = [] } = part.attrs;
    parts.push(...source, ...description, ...link);
  } else if ('content' in part) {
    for (const child of part.content ?? []) if (child) parts.push(child);
  }
  for (const mark of ('marks' in part && part.marks) || [])
    if (mark.type === 'link') parts.push(...mark.attrs.address);
  return parts;
}

/**
 * Every part of a template's words, outermost first, with whether it always stands there: what is inside a section
 * or an only-when does not.
 */
export function* eachPart(parts: readonly Part[], always = true): Generator<{ part: Part; always: boolean }> {
  for (const part of parts) {
    yield { part, always };
    yield* eachPart(partsIn(part), always && part.type !== 'section' && part.type !== 'when');
  }
}

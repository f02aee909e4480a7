import type { Block, Inline, ListChild, Structured, TableRow } from './document';

export type Part = Block | Inline | ListChild | Structured<TableRow>;

/**
 * Every part of a template's words, outermost first, with whether it always stands there: what is inside a section
 * or an only-when does not.
 */
export function* eachPart(parts: readonly Part[], always = true): Generator<{ part: Part; always: boolean }> {
  for (const part of parts) {
    yield { part, always };
    const inside = always && part.type !== 'section' && part.type !== 'when';
    if (part.type === 'image') {
      for (const line of [part.source, part.description, part.link ?? []]) yield* eachPart(line, inside);
    } else if (part.type === 'table') {
      for (const cell of part.header) yield* eachPart(cell.content, inside);
      yield* eachPart(part.content, inside);
    } else if (part.type === 'tableRow') {
      for (const cell of part.content) yield* eachPart(cell.content, inside);
    } else if ('content' in part) {
      yield* eachPart(part.content as Part[], inside);
      if (part.type === 'when') yield* eachPart((part.otherwise ?? []) as Part[], inside);
    }
    if ('marks' in part) {
      for (const mark of part.marks ?? []) if (mark.type === 'link') yield* eachPart(mark.address, always);
    }
  }
}

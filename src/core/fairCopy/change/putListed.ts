import type { CopyBlock, CopyDocument, CopyPart } from '../../document/copyDocument';
import { wordsOf } from '../../document/eachNode';

/**
 * Puts words in as an item of a list of the writer's own: of the one that is there, or that follows; else of a new one.
 * @param at the block behind which it goes, by its place on the page, the subject being the first; an empty line there makes room
 */
export function putListed(document: CopyDocument, at: number, words: string): CopyDocument {
  const { content } = document;
  const item = {
    type: 'listItem' as const,
    content: [{ type: 'paragraph' as const, content: [{ type: 'text' as const, text: words }] }],
  };
  const there = [at, at + 1].find((place) => isOwnList(content[place]));
  if (there !== undefined) {
    const list = content[there] as CopyBlock & { type: 'bulletList' };
    const longer = { ...list, content: [...list.content, item] };
    return { ...document, content: content.with(there, longer) };
  }
  const here = content[at];
  const isEmpty = here?.type === 'paragraph' && !wordsOf(here).trim();
  const list = { type: 'bulletList' as const, attrs: { tight: true }, content: [item] };
  return { ...document, content: content.toSpliced(isEmpty ? at : at + 1, isEmpty ? 1 : 0, list) };
}

/** A list that came from no template. */
function isOwnList(block: CopyPart | undefined): boolean {
  return block?.type === 'bulletList' && !block.attrs?.origin;
}

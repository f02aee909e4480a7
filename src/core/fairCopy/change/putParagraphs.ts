import type { CopyBlock, CopyDocument } from '../../document/copyDocument';

/**
 * Puts words in as paragraphs of the writer's own, one a line; what is empty is left out.
 * @param at the block behind which they go, by its place on the page, the subject being the first
 */
export function putParagraphs(document: CopyDocument, at: number, words: string): CopyDocument {
  const blocks = words.split(/\r\n?|\n/).flatMap((line): CopyBlock[] => {
    const text = line.trim();
    return text ? [{ type: 'paragraph', content: [{ type: 'text', text }] }] : [];
  });
  return { ...document, content: document.content.toSpliced(at + 1, 0, ...blocks) };
}

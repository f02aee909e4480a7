import type { TemplateDocument } from '../document/templateDocument';

/** A signature's own words as text, line by line: what is said of a member's signature where it is a fact like others. */
export function wordsOfSignature({ content }: TemplateDocument): string {
  const paragraphs = content.flatMap((block) => (block.type === 'paragraph' ? [block.content] : []));
  return paragraphs
    .map((words) =>
      words.map((word) => (word.type === 'text' ? word.text : word.type === 'break' ? '\n' : '')).join(''),
    )
    .filter((words) => words.trim())
    .join('\n\n');
}

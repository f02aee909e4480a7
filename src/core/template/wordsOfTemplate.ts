import { eachPart, type Part } from '../document/eachPart';
import type { Template, TemplateHead } from './template';

/** What a template can be found by: its name, its note, its subject and its words where they are there; fields by their paths. */
export function wordsOfTemplate({
  head,
  document,
}: {
  head: TemplateHead;
  document?: Template['document'];
}): string {
  return [head.name, head.note ?? '', wordsIn([...head.subject, ...(document?.content ?? [])])].join(' ');
}

/** The words of some parts; fields by their paths. */
function wordsIn(parts: readonly Part[]): string {
  const words: string[] = [];
  for (const { part } of eachPart(parts)) {
    if (part.type === 'text') words.push(part.text);
    else if (part.type === 'field') words.push(part.attrs.path.replace(/[._]/g, ' '));
    else if (part.type === 'blank') words.push(part.attrs.name);
    else if (part.type === 'passage') words.push(part.attrs.passage.replaceAll('-', ' '));
  }
  return words.join(' ');
}

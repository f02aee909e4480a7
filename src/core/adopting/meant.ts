import { printTag } from '../template/tags/printTag';
import { readWholeTag } from '../template/tags/readWholeTag';
import { SIGNATURE } from '../recognise/knownFacts';
import type { Meant } from './adopt';

/** What a foreign name means, as it is kept: “words”, “gap”, or a tag. */
export function printMeant(meant: Meant): string {
  return typeof meant === 'string' ? meant : printTag({ type: 'field', attrs: meant });
}

/** The same, read. Undefined: it is none. */
export function readMeant(text: string): Meant | undefined {
  if (text === 'words' || text === 'gap') return text;
  const tag = /^\{\{[^{}]{1,500}\}\}$/.test(text) ? readWholeTag(text) : undefined;
  if (tag?.type === 'signature') return { path: SIGNATURE, steps: [] };
  return tag?.type === 'field' ? tag.attrs : undefined;
}

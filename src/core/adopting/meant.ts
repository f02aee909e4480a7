import { printTag } from '../template/tags/printTag';
import { readTag } from '../template/tags/readTag';
import { SIGNATURE } from '../recognise/knownFacts';
import type { Meant } from './adopt';

/** What a foreign name means, as it is kept: “words”, “gap”, or a tag. */
export function printMeant(meant: Meant): string {
  return typeof meant === 'string' ? meant : printTag({ type: 'field', attrs: meant });
}

/** The same, read. Undefined: it is none. */
export function readMeant(text: string): Meant | undefined {
  if (text === 'words' || text === 'gap') return text;
  if (!/^\{\{[^{}]{1,500}\}\}$/.test(text)) return undefined;
  try {
    const tag = readTag(text.slice(2, -2));
    if (tag.type === 'signature') return { path: SIGNATURE, steps: [] };
    return tag.type === 'field' ? tag.attrs : undefined;
  } catch {
    return undefined;
  }
}

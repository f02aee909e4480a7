import { readTag } from './readTag';
import type { Tag } from './tag';

/** Reads a text that is one tag and nothing else, its braces included. Undefined: it is none. */
export function readWholeTag(text: string): Tag | undefined {
  if (!/^\{\{[^]*\}\}$/.test(text)) return undefined;
  try {
    return readTag(text.slice(2, -2));
  } catch {
    return undefined;
  }
}

/** Where the front matter and the body of a file lie; offsets into the file. */
export interface Split {
  /** the YAML between the fences; undefined when the file has none */
  front?: { start: number; end: number };
  body: number;
}

/** Finds the front matter: a first line `---`, up to the next line that is just `---`. */
export function splitFront(text: string): Split | 'never closed' {
  if (!/^---[ \t]*\n/.test(text)) return { body: 0 };
  const start = text.indexOf('\n') + 1;
  const fence = /^---[ \t]*(?:\n|$)/gm;
  fence.lastIndex = start;
  const found = fence.exec(text);
  if (!found) return 'never closed';
  return { front: { start, end: found.index }, body: found.index + found[0].length };
}

/** A file's text with one kind of line end and without a byte order mark. */
export function normalised(text: string): string {
  return text.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n');
}

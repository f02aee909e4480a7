import { readFile, stat } from 'node:fs/promises';

/** The most bytes of a template or passage, and of a file of records. */
export const LONGEST_TEMPLATE = 2_000_000;
export const LONGEST_RECORDS = 500_000_000;

/** A file that cannot be used as text: in words, with the place in it. */
export class UnreadableFile extends Error {}

/**
 * Reads a file as UTF-8.
 * @param most how many bytes it may have, which is asked before it is read
 * @throws UnreadableFile with `file:line:column: words` when there is no such file, it is no plain file (a pipe would
 * be waited for without end), too long, or not in UTF-8
 */
export async function readText(file: string, most: number): Promise<string> {
  const at = (place: string, words: string) => new UnreadableFile(`${file}:${place}: ${words}`);
  let content: Buffer;
  try {
    const found = await stat(file);
    if (!found.isFile())
      throw at('1:1', found.isDirectory() ? 'This is a folder.' : 'This is no plain file.');
    if (found.size > most) throw at('1:1', `This is longer than ${Math.round(most / 1e6)} MB.`);
    content = await readFile(file);
  } catch (error) {
    if (error instanceof UnreadableFile) throw error;
    const { code } = error as NodeJS.ErrnoException;
    throw at('1:1', code === 'ENOENT' ? 'There is no such file or folder.' : `It cannot be read (${code}).`);
  }
  const text = content.toString('utf8');
  const wrong = firstWrongByte(content, text);
  if (wrong === undefined) return text;
  if (content[0]! >= 0xfe && content[1]! >= 0xfe) throw at('1:1', 'This is UTF-16. Save it as UTF-8.');
  const before = text.slice(0, wrong.at).split(/\r\n?|\n/);
  const place = `${before.length}:${[...before.at(-1)!].length + 1}`;
  throw at(
    place,
    `This is not UTF-8 (the byte ${wrong.byte.toString(16).toUpperCase()}). Save the file as UTF-8.`,
  );
}

/** Where the text has a mark of replacement that its bytes have not. */
function firstWrongByte(content: Buffer, text: string): { at: number; byte: number } | undefined {
  const mark = '\uFFFD';
  let offset = 0;
  for (let from = 0, at = text.indexOf(mark); at >= 0; from = at + 1, at = text.indexOf(mark, from)) {
    offset += Buffer.byteLength(text.slice(from, at));
    if (content[offset] !== 0xef || content[offset + 1] !== 0xbf || content[offset + 2] !== 0xbd)
      return { at, byte: content[offset]! };
    offset += 3;
  }
  return undefined;
}

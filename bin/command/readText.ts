import { readFile, stat } from 'node:fs/promises';

/** The most bytes of a template or passage, and of a file of records. */
export const LONGEST_TEMPLATE = 2_000_000;
export const LONGEST_RECORDS = 500_000_000;

/** A file that cannot be used as text: in words, with the place in it. */
export class UnreadableFile extends Error {}

/**
 * Reads a file’s bytes, whatever they are.
 * @param most how many there may be, which is asked before they are read
 * @throws UnreadableFile with `file:line:column: words` when there is no such file, it is no plain file (a pipe would
 * be waited for without end), or too long
 */
export async function readBytes(file: string, most: number): Promise<Buffer> {
  const at = (words: string) => new UnreadableFile(`${file}:1:1: ${words}`);
  try {
    const found = await stat(file);
    if (!found.isFile()) throw at(found.isDirectory() ? 'This is a folder.' : 'This is no plain file.');
    if (found.size > most) throw at(`This is longer than ${Math.round(most / 1e6)} MB.`);
    return await readFile(file);
  } catch (error) {
    if (error instanceof UnreadableFile) throw error;
    const { code } = error as NodeJS.ErrnoException;
    throw at(code === 'ENOENT' ? 'There is no such file or folder.' : `It cannot be read (${code}).`);
  }
}

/**
 * Reads a file as UTF-8.
 * @param most how many bytes it may have
 * @throws UnreadableFile as `readBytes` does, and when it is not in UTF-8
 */
export async function readText(file: string, most: number): Promise<string> {
  const at = (place: string, words: string) => new UnreadableFile(`${file}:${place}: ${words}`);
  const content = await readBytes(file, most);
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

import path from 'node:path';
import { pictureType } from '../../src/server/files/pictureType';
import { readInside } from './insideFolder';

/**
 * Reads the pictures of a letter, which are named by paths beside the records file.
 * @returns what is wrong, a line each, where one cannot be had
 */
export async function readPictures(
  sources: readonly string[],
  folder: string,
): Promise<Map<string, { type: string; content: Buffer }> | string[]> {
  const wrong: string[] = [];
  const read = new Map<string, { type: string; content: Buffer }>();
  for (const source of sources) {
    const content = await readInside(folder, source);
    const type = typeof content === 'string' ? undefined : pictureType(content);
    if (typeof content !== 'string' && type) read.set(source, { type, content });
    else {
      const why =
        typeof content === 'string' ? content : 'Mail readers show PNG, JPEG and GIF pictures; this is none.';
      wrong.push(`${path.join(folder, source)}:1:1: ${why}`);
    }
  }
  return wrong.length ? wrong : read;
}

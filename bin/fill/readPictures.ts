import { readFile, realpath } from 'node:fs/promises';
import path from 'node:path';
import { pictureType } from '../../src/server/pictureType';

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
  const inside = await realpath(folder);
  for (const source of sources) {
    const place = path.join(inside, source);
    const real = await realpath(place).catch(() => undefined);
    if (real === undefined) wrong.push(`${place}:1:1: There is no such picture.`);
    else if (!real.startsWith(inside + path.sep)) {
      // What the records name must not reach the rest of the machine.
      wrong.push(
        `${place}:1:1: A picture is named by a path beside the records file, not outside its folder.`,
      );
    } else {
      const content = await readFile(real);
      const type = pictureType(content);
      if (type) read.set(source, { type, content });
      else wrong.push(`${place}:1:1: Mail readers show PNG, JPEG and GIF pictures; this is none.`);
    }
  }
  return wrong.length ? wrong : read;
}

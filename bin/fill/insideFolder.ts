import { readFile, realpath, stat } from 'node:fs/promises';
import path from 'node:path';

const LARGEST = 20_000_000;

/**
 * Reads a file that the records or a template name by a path beside the records file. What they name must not reach the
 * rest of the machine, and nothing but a plain file is waited for.
 * @returns its content, or in words what is wrong
 */
export async function readInside(folder: string, name: string): Promise<Buffer | string> {
  const inside = await realpath(folder);
  const real = await realpath(path.join(inside, name)).catch(() => undefined);
  if (real === undefined) return 'There is no such file.';
  if (!real.startsWith(inside + path.sep))
    return 'It is named by a path beside the records file, not outside its folder.';
  const found = await stat(real);
  if (!found.isFile()) return 'This is no plain file.';
  if (found.size > LARGEST) return 'It has more than 20 MB.';
  return readFile(real);
}

import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { inWords } from '../core/problems/problem';
import type { Reading } from '../core/template/text/readTemplate';

/**
 * Reads the texts of a folder, in the order of their files' names.
 * @param read reads one; told its file's name
 * @throws Error with what is wrong with one, naming the place
 */
export async function readTexts<T>(
  folder: string,
  read: (text: string, file: string) => Reading<T>,
): Promise<T[]> {
  const names = (await readdir(folder)).filter((name) => name.endsWith('.md')).sort();
  return Promise.all(
    names.map(async (name) => {
      const reading = read(await readFile(path.join(folder, name), 'utf8'), name);
      if (!reading.value) throw new Error(reading.problems.map(inWords).join('\n'));
      return reading.value;
    }),
  );
}

import { readdir } from 'node:fs/promises';
import path from 'node:path';
import type { ReadPassage } from '../../src/core/fill/paths/scope';
import type { Problem } from '../../src/core/problems/problem';
import { LONGEST_TEMPLATE, readText } from '../command/readText';
import { readPassage } from '../../src/core/template/text/readTemplate';

/** Reads every `.md` of a folder as a passage, by name. Problems are reported under the path given. */
export async function readPassages(folder: string, problems: Problem[]): Promise<Map<string, ReadPassage>> {
  const passages = new Map<string, ReadPassage>();
  const files = (await readdir(folder)).filter((name) => name.endsWith('.md')).sort();
  for (const name of files) {
    const file = path.join(folder, name);
    const reading = readPassage(await readText(file, LONGEST_TEMPLATE), file, path.basename(name, '.md'));
    if (!reading.value) problems.push(...reading.problems);
    else if (passages.has(reading.value.name)) {
      problems.push({
        file,
        line: 1,
        column: 1,
        message: `There is another passage called “${reading.value.name}”.`,
      });
    } else passages.set(reading.value.name, { passage: reading.value, places: reading.places });
  }
  return passages;
}

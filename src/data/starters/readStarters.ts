import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { parse } from 'yaml';
import type { Passage, Template } from '../../core/template/template';
import { readPassage, readTemplate } from '../../core/template/text/readTemplate';
import type { ShippedGroup } from './templateRows';
import { readTexts } from '../readTexts';

/** What a new business writes with from its first day: the parts that it must replace are marked unfinished. */
export interface Starters {
  groups: ShippedGroup[];
  templates: Template[];
  passages: Passage[];
}

/** Reads the starters that ship with the application. @param folder where they are */
export async function readStarters(folder: string): Promise<Starters> {
  return {
    groups: parse(await readFile(path.join(folder, 'groups.yaml'), 'utf8')) as ShippedGroup[],
    templates: await readTexts(path.join(folder, 'templates'), readTemplate),
    passages: await readTexts(path.join(folder, 'passages'), (text, file) =>
      readPassage(text, file, path.basename(file, '.md')),
    ),
  };
}

import { isPaper } from '../../src/core/template/papers';
import type { Attachment } from '../../src/server/letters/composeLetter';
import { readInside } from './insideFolder';

/** What goes with a letter as its head says, and in words what cannot. */
export interface Attached {
  files: Attachment[];
  missing: string[];
}

/** Reads the files that a template's head names, by paths beside the records file. */
export async function readAttachments(names: readonly string[], folder: string): Promise<Attached> {
  const attached: Attached = { files: [], missing: [] };
  for (const name of names) {
    if (isPaper(name)) {
      attached.missing.push(`The ${name} cannot be attached here yet.`);
      continue;
    }
    const content = await readInside(folder, name);
    if (typeof content === 'string') attached.missing.push(`“${name}” cannot be attached. ${content}`);
    else attached.files.push({ name: name.replace(/^.*\//, ''), content });
  }
  return attached;
}

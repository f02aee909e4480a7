import type { OwnFile } from '../contract/files';
import { isPaper, PAPERS } from '../template/papers';
import type { TemplateHead } from '../template/template';

/** Something that a template has go along with its letters. */
export interface Along {
  /** as the head has it; a file's as it is kept */
  name: string;
  /** in bytes; undefined: it cannot be attached */
  size: number | undefined;
}

/** “the invoice as PDF”, “Price list.pdf” */
export function alongInWords({ name }: Pick<Along, 'name'>): string {
  return isPaper(name) ? PAPERS[name] : name;
}

/** How large all of it is, in bytes. */
export function sizeTogether(along: readonly Along[]): number {
  return along.reduce((sum, { size = 0 }) => sum + size, 0);
}

/** What goes along with a letter, each once. @param files the business's own */
export function goesAlong({ attach = [] }: TemplateHead, files: readonly OwnFile[]): Along[] {
  const byName = new Map(files.map((file) => [file.name.toLowerCase(), file]));
  const all = new Map<string, Along>();
  for (const name of attach) {
    const file = isPaper(name) ? undefined : byName.get(name.toLowerCase());
    all.set(name.toLowerCase(), { name: file?.name ?? name, size: file?.size });
  }
  return [...all.values()];
}

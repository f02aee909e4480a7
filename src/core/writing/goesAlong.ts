import type { OwnFile } from '../contract/files';
import { isPaper, PAPERS } from '../template/papers';

/** Something that a template has go along with its letters. */
export interface Along {
  /** as the head has it; a file's as it is kept */
  name: string;
  /** as the head has it, where the file is called otherwise by now */
  formerly?: string;
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

/** Whether two names of files are one: their case says nothing. */
export function isSameName(a: string, b: string): boolean {
  return a.toLowerCase() === b.toLowerCase();
}

/** What goes along with a letter, each once. @param files the business's own */
export function goesAlong(
  { attach = [] }: { readonly attach?: readonly string[] | undefined },
  files: readonly OwnFile[],
): Along[] {
  const byName = new Map([
    ...files.flatMap((file) => (file.formerly ?? []).map((name) => [name.toLowerCase(), file] as const)),
    // One that is called so now goes before one that was.
    ...files.map((file) => [file.name.toLowerCase(), file] as const),
  ]);
  const all = new Map<string, Along>();
  for (const name of attach) {
    const file = isPaper(name) ? undefined : byName.get(name.toLowerCase());
    const now = file?.name ?? name;
    const formerly = isSameName(now, name) ? {} : { formerly: name };
    const key = now.toLowerCase();
    if (!all.has(key)) all.set(key, { name: now, size: file?.size, ...formerly });
  }
  return [...all.values()];
}

import type { OwnFile } from '../contract/files';
import type { AddedFile } from '../contract/along';
import { paperOf } from '../papers/paperOf';
import { isPaper, PAPERS, type Paper } from '../template/papers';
import type { Situation } from '../records/which/situation';

/** Something that goes along with a letter: as its template has it, or as its writer has added it. */
export interface Along {
  /** tells it among the others: by it, it is left out */
  id: string;
  /** of a file; of a paper, that of the file it becomes */
  name: string;
  /** as the head has it, where the file is called otherwise by now */
  formerly?: string;
  /** in bytes; absent: it is not made yet, or cannot be attached */
  size?: number;
  /** why it cannot be attached, in words */
  lacks?: string;
  /** what is made of the letter's own records, and the key of that */
  paper?: { kind: Paper; of?: string };
  /** what its writer has added */
  added?: AddedFile;
}

/** “the invoice as PDF”, “Price list.pdf” */
export function alongInWords({ name, paper }: Pick<Along, 'name' | 'paper'>): string {
  return paper ? PAPERS[paper.kind] : name;
}

/** How large all of it is, in bytes. */
export function sizeTogether(along: readonly Pick<Along, 'size'>[]): number {
  return along.reduce((sum, { size = 0 }) => sum + size, 0);
}

/** Whether two names of files are one: their case says nothing. */
export function isSameName(a: string, b: string): boolean {
  return a.toLowerCase() === b.toLowerCase();
}

type Head = { readonly attach?: readonly string[] | undefined };

/** The files that a template has go along, each once; one that is not there lacks. @param files the business's own */
export function filesAlong({ attach = [] }: Head, files: readonly OwnFile[]): Along[] {
  const byName = new Map([
    ...files.flatMap((file) => (file.formerly ?? []).map((name) => [name.toLowerCase(), file] as const)),
    // One that is called so now goes before one that was.
    ...files.map((file) => [file.name.toLowerCase(), file] as const),
  ]);
  const all = new Map<string, Along>();
  for (const wanted of attach) {
    if (isPaper(wanted)) continue;
    const file = byName.get(wanted.toLowerCase());
    const name = file?.name ?? wanted;
    const known = file ? { size: file.size } : { lacks: `“${name}” is not among the business’s files.` };
    const formerly = isSameName(name, wanted) ? {} : { formerly: wanted };
    const key = name.toLowerCase();
    if (!all.has(key)) all.set(key, { id: name, name, ...known, ...formerly });
  }
  return [...all.values()];
}

/** What a template makes of a letter's records to go along with it, each once. */
export function papersAlong({ attach = [] }: Head, situation: Situation): Along[] {
  return [...new Set(attach.filter(isPaper))].map((kind): Along => {
    const made = paperOf(kind, situation);
    return 'lacks' in made
      ? { id: kind, name: PAPERS[kind], lacks: made.lacks, paper: { kind } }
      : { id: kind, name: made.file, paper: { kind, of: made.record.key } };
  });
}

/** What a letter's writer has added, each once. */
export function addedAlong(added: readonly AddedFile[]): Along[] {
  const byId = new Map(added.map((file) => [idOfAdded(file), file]));
  return [...byId].map(([id, file]) => ({ id, name: file.name, size: file.size, added: file }));
}

/** By what an added file is told. */
export function idOfAdded({ from, id }: Pick<AddedFile, 'from' | 'id'>): string {
  return `${from} ${id}`;
}

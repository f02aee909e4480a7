import type { Called, Passage, Signature } from './template';

/** What templates refer to is kept by its key, which stays; in text it is called by its name, which may change. */
export interface Naming {
  passages: readonly Pick<Passage, 'key' | keyof Called>[];
  signatures: readonly Pick<Signature, 'key' | keyof Called>[];
}

/** What a passage, or a signature, is to be called by what it was. */
type Names = Record<keyof Naming, ReadonlyMap<string, string>>;

/**
 * A template, or a document, as its text says it: passages and its signature by their names. One that is not known is called as
 * it is kept.
 */
export function inNames<T>(kept: T, { passages, signatures }: Naming): T {
  const names = (all: Naming[keyof Naming]) => new Map(all.map(({ key, name }) => [key, name]));
  return renamed(kept, { passages: names(passages), signatures: names(signatures) });
}

/** The same as it is kept: by their keys, by whichever of their names they were called. One that is not known stays as it was written. */
export function inKeys<T>(written: T, { passages, signatures }: Naming): T {
  const keys = (all: Naming[keyof Naming]) => new Map([...byName(all)].map(([name, { key }]) => [name, key]));
  return renamed(written, { passages: keys(passages), signatures: keys(signatures) });
}

/** Things by what they are called, and by what they were where nothing else is called so by now. */
export function byName<Thing extends Called>(things: readonly Thing[]): ReadonlyMap<string, Thing> {
  const formerly = things.flatMap((one) => (one.formerly ?? []).map((name) => [name, one] as const));
  return new Map([...formerly, ...things.map((one) => [one.name, one] as const)]);
}

/** The same thing where nothing in it is called otherwise. */
function renamed<T>(value: T, to: Names): T {
  if (Array.isArray(value)) {
    const list = value.map((one) => renamed(one as unknown, to));
    return list.some((one, i) => one !== value[i]) ? (list as T) : value;
  }
  if (typeof value !== 'object' || value === null) return value;
  const node = value as Record<string, unknown>;
  if (node.type === 'passage') {
    const attrs = node.attrs as { passage: string };
    const passage = to.passages.get(attrs.passage) ?? attrs.passage;
    return passage === attrs.passage ? value : ({ ...node, attrs: { ...attrs, passage } } as T);
  }
  const entries = Object.entries(node).map(([key, one]) => {
    // Of all that templates are made of, their head alone has a signature that is a word.
    if (key === 'signature' && typeof one === 'string') return [key, to.signatures.get(one) ?? one] as const;
    return [key, renamed(one, to)] as const;
  });
  return entries.some(([key, one]) => one !== node[key]) ? (Object.fromEntries(entries) as T) : value;
}

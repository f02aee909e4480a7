import type { Passage } from './template';

/** What templates refer to is kept by its key, which stays; in text it is called by its name, which may change. */
export interface Naming {
  passages: readonly Pick<Passage, 'key' | 'name'>[];
}

/** A template, or a document, as its text says it: passages by their names. One that is not known is called as it is kept. */
export function inNames<T>(kept: T, { passages }: Naming): T {
  return renamed(kept, new Map(passages.map(({ key, name }) => [key, name])));
}

/** The same as it is kept: passages by their keys. One that is not known stays as it was written. */
export function inKeys<T>(written: T, { passages }: Naming): T {
  return renamed(written, new Map(passages.map(({ key, name }) => [name, key])));
}

/** The same thing where nothing in it is called otherwise. */
function renamed<T>(value: T, to: ReadonlyMap<string, string>): T {
  if (Array.isArray(value)) {
    const list = value.map((one) => renamed(one as unknown, to));
    return list.some((one, i) => one !== value[i]) ? (list as T) : value;
  }
  if (typeof value !== 'object' || value === null) return value;
  const node = value as Record<string, unknown>;
  if (node.type === 'passage') {
    const attrs = node.attrs as { passage: string };
    const passage = to.get(attrs.passage) ?? attrs.passage;
    return passage === attrs.passage ? value : ({ ...node, attrs: { ...attrs, passage } } as T);
  }
  const entries = Object.entries(node).map(([key, one]) => [key, renamed(one, to)] as const);
  return entries.some(([key, one]) => one !== node[key]) ? (Object.fromEntries(entries) as T) : value;
}

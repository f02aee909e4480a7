/** What a reference names, as `contact:hale`: the kind of record and its key, which may have colons; empty where there is none. */
export function splitReference(reference: string): [kind: string, key: string] {
  const [kind = '', key = ''] = reference.split(/:(.*)/s);
  return [kind, key];
}

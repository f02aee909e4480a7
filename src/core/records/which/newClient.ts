import { kindOfName } from '../../people/kindOfName';
import type { RecordBook } from '../recordBook';
import type { ClientData } from '../recordsFile';

/** As long as a key may be. */
const LONGEST = 100;

/** A name, which may be left out, and an address between brackets (RFC 5322, 3.4). */
const NAME_AND_ADDRESS = /^(?:([^<>]*[^<>\s]) )?<([^\s<>,;@]+@[^\s<>,;@]+)>$/u;

/** Someone whose address is known and who is in no record yet. */
export interface NewClient extends Pick<ClientData, 'name'> {
  key: string;
  kind: ReturnType<typeof kindOfName>;
  email: string;
}

/**
 * Someone who is in no record yet, as a starting point names them: `client:Bram Tolliver <bram@tolliver.example>`. Undefined: the
 * key is a record's.
 */
export function newClientOf(key: string): NewClient | undefined {
  const [, name, email] = (key.length <= LONGEST && NAME_AND_ADDRESS.exec(key)) || [];
  if (email === undefined) return undefined;
  return { key, kind: kindOfName(name ?? ''), email, ...(name === undefined ? {} : { name }) };
}

/** What such a starting point has for a key. Undefined: the two are too long, or are no name and address. */
export function newClientKey(name: string, email: string): string | undefined {
  const key = [name.replace(/[<>]/g, '').trim().replace(/\s+/gu, ' '), `<${email}>`]
    .filter(Boolean)
    .join(' ');
  return newClientOf(key) && key;
}

/** Whose address it is, of the clients at hand: a client’s own goes before that of somebody theirs. */
export function clientWithAddress(book: RecordBook, email: string): ClientData | undefined {
  const wanted = email.toLowerCase();
  const has = (one: { email?: string }) => one.email?.toLowerCase() === wanted;
  const all = [...book.clients.values()];
  return all.find(has) ?? all.find(({ contacts = [] }) => contacts.some(has));
}

import { fullName } from '../people/names';
import type { ClientData, ContactData, ItemData } from '../records/recordsFile';
import type { Situation } from '../records/which/situation';
import { splitReference } from '../records/which/splitReference';
import type { MarginNote } from './marginOf';

/** The facts of a client, or of a person or thing of theirs, that can be put right beside a letter. */
export const FACTS_TO_PUT_RIGHT = [
  ...(['name', 'given_name', 'family_name', 'preferred_name', 'honorific', 'role'] as const),
  ...(['email', 'phone', 'mobile'] as const),
] as const;
type FactToPutRight = (typeof FACTS_TO_PUT_RIGHT)[number];

/** Where a fact is kept. */
export interface Source {
  /** the client’s key */
  client: string;
  /** the person or thing of theirs, as `contact:hale`; absent: the client */
  of?: string;
  /** “Oda Hartigan”, “the upright” */
  whose: string;
  facts: { fact: FactToPutRight; label: string; was: string }[];
}

/** Where none of them is kept, they are read from the name as it is written. */
const NAMES: readonly FactToPutRight[] = ['given_name', 'family_name', 'preferred_name'];

/** What is asked for behind a fact that is made of others. */
const MADE_OF: Readonly<Record<string, readonly FactToPutRight[]>> = {
  greeting_name: ['preferred_name', 'given_name'],
  full_name: ['given_name', 'family_name'],
};

/** Where the fact is kept that a note of the margin is about, or that is missing there; undefined where it cannot be put right from here. */
export function sourceOf(
  { record = '', fact: path }: Pick<MarginNote, 'record'> & { fact: string },
  { client, book }: Situation,
): Source | undefined {
  const [kind, key] = splitReference(record);
  if (!client || !book.clients.has(client.record.key)) return undefined;
  const data = kept(kind, key, client.record);
  const last = path.slice(path.lastIndexOf('.') + 1);
  if (!data) return undefined;
  const said = (fact: FactToPutRight) => (data as Partial<Record<FactToPutRight, string>>)[fact] ?? '';
  const asked = MADE_OF[last] ?? FACTS_TO_PUT_RIGHT.filter((fact) => fact === last);
  const facts =
    last in MADE_OF && kind === 'client' && !NAMES.some(said)
      ? (['name'] as const)
      : chosen(last, asked, said);
  if (facts.length === 0) return undefined;
  return {
    client: client.record.key,
    ...(kind === 'client' ? {} : { of: record }),
    whose: whoseIs(kind, data),
    facts: facts.map((fact) => ({ fact, label: fact.replaceAll('_', ' '), was: said(fact) })),
  };
}

/** Who is greeted by what they want to be called is not asked for the rest. */
function chosen(
  last: string,
  asked: readonly FactToPutRight[],
  said: (fact: FactToPutRight) => string,
): readonly FactToPutRight[] {
  return last === 'greeting_name' ? [asked.find(said) ?? 'given_name'] : asked;
}

function whoseIs(kind: string, data: Kept): string {
  const name = 'name' in data ? data.name : undefined;
  if (kind === 'item') return `the ${name ?? 'thing'}`;
  return name ?? fullName(data) ?? (kind === 'contact' ? 'the person' : 'the client');
}

type Kept = ClientData | ContactData | ItemData;

function kept(kind: string, key: string, client: ClientData): Kept | undefined {
  const among = (all: readonly Kept[] = []) => all.find((one) => one.key === key);
  if (kind === 'contact') return among(client.contacts);
  if (kind === 'item') return among(client.items);
  return kind === 'client' ? among([client]) : undefined;
}

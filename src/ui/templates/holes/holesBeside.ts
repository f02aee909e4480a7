import { CLIENTS_AT_ONCE, type FewRecords, type RecordsPage } from '../../../core/contract/allRecords';
import type { HolesFound, LookForHoles } from '../../../core/contract/holes';
import { compileTemplate } from '../../../core/fill/compileTemplate';
import { readPassages } from '../../../core/fill/paths/scope';
import { tellCountries } from '../../../core/fill/formats/phones/tellCountries';
import { HoleCount } from '../../../core/holes/holesOver';
import { startsIn } from '../../../core/records/startsIn';
import { RecordBook } from '../../../core/records/recordBook';
import { schemaOf } from '../../../core/records/schema';

/** So many clients are looked through, in the order of their keys; a larger business is told of the first. */
const MOST_CLIENTS = 5000;
/** Between two of these, in milliseconds, a later question is heard. */
const TURN = 150;

/** A page of clients, ready to be filled from. */
interface Part {
  book: RecordBook;
  member: string;
  clients: number;
}

const parts: Part[] = [];
/** how many clients there are, once that is known */
let many: number | undefined;
let fetching: Promise<void> | undefined;
let asked = 0;

/** Counts what a template’s letters would lack. */
export function hear({ data }: MessageEvent<LookForHoles>): void {
  const question = ++asked;
  look(data, () => question === asked).catch(() =>
    say({ type: 'failed', why: 'The records could not be looked through.' }),
  );
}

async function look({ template, facts, all }: LookForHoles, isLatest: () => boolean): Promise<void> {
  if (all && many !== undefined && parts.length === 0) fetching = undefined;
  fetching ??= all ? fetchAll() : fetchFew();
  try {
    await fetching;
  } catch {
    // The next question tries again.
    fetching = undefined;
    parts.length = 0;
    if (isLatest()) say({ type: 'failed', why: 'The records could not be fetched.' });
    return;
  }
  if (parts.length === 0 && many !== undefined) return say({ type: 'many', of: many });
  const { compiled } = compileTemplate(template, {
    schema: schemaOf({ business: facts.business }),
    passages: readPassages(facts.passages),
    signatures: facts.signatures,
    key: template.key,
  });
  const [first] = parts;
  if (!compiled || !first) return;
  const count = new HoleCount(compiled, first.book.members.get(first.member) ?? { key: first.member });
  const began = performance.now();
  let turn = began;
  for (const { book } of parts) {
    for (const key of startsIn(book, template.head.startsFrom)) {
      count.add(book, key);
      if (performance.now() - turn < TURN) continue;
      await new Promise((resolve) => setTimeout(resolve));
      if (!isLatest()) return;
      turn = performance.now();
    }
  }
  const took = performance.now() - began;
  if (isLatest()) say({ type: 'found', looked: lookedThrough(), of: first.clients, took, ...count.counted });
}

/** Fetches the records where they are few. */
async function fetchFew(): Promise<void> {
  const page = await ask<FewRecords>('few');
  many = page.clients;
  if ('records' in page) take(page);
}

/** Fetches them page by page. */
async function fetchAll(): Promise<void> {
  let after: string | undefined = '';
  while (after !== undefined && parts.length * CLIENTS_AT_ONCE < MOST_CLIENTS) {
    const page: RecordsPage = await ask<RecordsPage>(`after=${encodeURIComponent(after)}`);
    take(page);
    say({ type: 'looking', looked: lookedThrough(), of: Math.min(page.clients, MOST_CLIENTS) });
    after = page.next;
  }
}

async function ask<Page>(what: string): Promise<Page> {
  const response = await fetch(`/api/records?${what}`, { cache: 'no-store' });
  if (!response.ok) throw new Error(String(response.status));
  return (await response.json()) as Page;
}

function take({ phones, records, now, member, clients }: RecordsPage): void {
  tellCountries(phones);
  parts.push({ book: new RecordBook(records, now), member, clients });
}

function lookedThrough(): number {
  return parts.reduce((sum, { book }) => sum + book.clients.size, 0);
}

function say(found: HolesFound): void {
  postMessage(found);
}

import type { RecordBook } from '../records/recordBook';
import { SCHEMA_DEFAULTS } from '../records/defaults';
import type { ItemData } from '../records/recordsFile';
import type { RecordKind } from '../records/recordKind';
import { capital } from './capital';
import { headingOf } from './headings';

/** A record as its page shows it: what it is called, its facts in order, and what hangs on it. */
export interface RecordView {
  /** the kind in words: "visit" */
  kind: string;
  title: string;
  note: string;
  facts: Fact[];
  /** lines, payments, items, people: each a short table; so many of its last columns are sums, and its rows may lead to records */
  tables: { title: string; columns: string[]; rows: string[][]; sums?: 1 | 2; links?: RecordLink[] }[];
  /** other records it leads to */
  links: RecordLink[];
  /** what heads those to things */
  items?: string;
  client?: { key: string; name: string };
}

interface Fact {
  label: string;
  value: string;
}

/** A record that another leads to; a thing with its client's key. */
interface RecordLink {
  kind: 'project' | 'booking' | 'invoice' | 'enquiry' | 'item';
  key: string;
  client?: string;
  name: string;
  note: string;
}

/** A thing, at its client. @param client by key */
export function linkToItem(client: string, { key, name, kind }: ItemData): RecordLink {
  return { kind: 'item', key, client, name: name ?? key, note: kind ?? '' };
}

export function link(
  kind: RecordLink['kind'],
  { key }: { key: string },
  named: { name: string; note: string },
): RecordLink {
  return { kind, key, ...named };
}

/** Those that say something, under the words that head them; the business's own fields have theirs. */
export function facts(kind: RecordKind, all: ([key: string, value: string | undefined] | Fact)[]): Fact[] {
  return all.flatMap((fact) => {
    if (!Array.isArray(fact)) return fact.value ? fact : [];
    const [key, value] = fact;
    return value ? { label: headingOf(kind, key), value } : [];
  });
}

export function table(
  title: string,
  columns: string[],
  rows: string[][],
  more: Pick<RecordView['tables'][number], 'sums' | 'links'> = {},
): RecordView['tables'][number] {
  return { title, columns, rows, ...more };
}

/** What the business calls those that the service is done to: "Instruments". */
export function itemsCalled({
  business: { item_label: label = SCHEMA_DEFAULTS.itemLabel },
}: RecordBook): string {
  return capital(label.endsWith('s') ? label : `${label}s`);
}

/** Whose it is, where it is somebody's. */
export function itsClient(book: RecordBook, key: string | undefined): Pick<RecordView, 'client'> {
  const client = book.clients.get(key ?? '');
  return client ? { client: { key: client.key, name: client.name ?? client.key } } : {};
}

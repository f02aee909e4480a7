import type { RecordKind } from '../records/recordKind';

/** What the parts of a path lead to that name a record, or one of several. */
const LEADS_TO: Readonly<Record<string, RecordKind>> = {
  business: 'business',
  sender: 'member',
  member: 'member',
  responsible: 'member',
  client: 'client',
  contact: 'contact',
  contacts: 'contact',
  recipient: 'recipient',
  partner: 'partner',
  partners: 'partner',
  item: 'item',
  items: 'item',
  enquiry: 'enquiry',
  enquiries: 'enquiry',
  project: 'project',
  projects: 'project',
  booking: 'booking',
  bookings: 'booking',
  next_booking: 'booking',
  last_booking: 'booking',
  invoice: 'invoice',
  invoices: 'invoice',
  unpaid_invoices: 'invoice',
};

/**
 * The fact that a path says, by the kind of record it is on: "sender.phone" is `member.phone`, "booking.client.custom.key_from"
 * `client.custom.key_from`, "links.review" itself. A path that begins inside a listing (“custom.maker”) names no kind: `?.custom.maker`.
 */
export function factOf(path: string): string {
  const parts = path.split('.');
  if (parts[0] === 'links') return parts.slice(0, 2).join('.');
  const at = parts.findLastIndex((part, i) => part in LEADS_TO && parts[i - 1] !== 'custom');
  const kind = LEADS_TO[parts[at] ?? ''] ?? '?';
  const [fact = '', ...more] = parts.slice(at + 1);
  return [kind, fact, ...(fact === 'custom' ? more.slice(0, 1) : [])].filter(Boolean).join('.');
}

/**
 * Whether words say a fact, or may.
 * @param words a document, a head, or both, as JSON
 * @param fact as `factOf` gives it
 */
export function sayFact(words: unknown, fact: string): boolean {
  if (typeof words === 'string') {
    const wanted = [fact, fact.replace(/^[^.]+/, '?')];
    return (words.match(/[\w.]+/g) ?? []).some((path) => wanted.includes(factOf(path)));
  }
  return (
    typeof words === 'object' && words !== null && Object.values(words).some((one) => sayFact(one, fact))
  );
}

/** The facts that a document's fields say, each once. */
export function factsIn(words: unknown): string[] {
  const facts = new Set<string>();
  const look = (one: unknown): void => {
    if (typeof one !== 'object' || one === null) return;
    const { path } = one as { path?: unknown };
    if (typeof path === 'string') facts.add(factOf(path));
    for (const part of Object.values(one)) look(part);
  };
  look(words);
  return [...facts];
}

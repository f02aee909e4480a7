import type { RecordKind, StartingKind } from '../recordKind';
import type { BookingData, ClientData, ContactData, PersonData, ProjectData } from '../recordsFile';
import type { RecordBook } from '../recordBook';
import { choice, type Choice } from './choice';

/** Whoever a letter goes to: a contact, the client itself, a member or a partner. */
export interface Recipient {
  kind: Extract<RecordKind, 'contact' | 'client' | 'member' | 'partner'>;
  data: PersonData & { key: string; name?: string; full_name?: string; kind?: string };
}

/** From an invoice whoever pays; from a visit or project its own people; else the main contact, else the client. */
export function recipientOf(
  book: RecordBook,
  start: StartingKind,
  client: ClientData | undefined,
  project: ProjectData | undefined,
): Choice<Recipient> | undefined {
  if (!client) return undefined;
  const contacts = client.contacts ?? [];
  const using = (use: string) => contacts.find((contact) => contact.uses?.includes(use));
  const itself: Recipient = { kind: 'client', data: client };
  // Whoever gets nothing but copies is not written to in the client's place.
  const written = contacts.filter(({ uses = [] }) => !uses.length || uses.some((use) => !COPIES.has(use)));
  const all = [...contacts.map(asRecipient), itself];
  const take = (contact: ContactData | undefined, reason: string) =>
    contact && choice(all[contacts.indexOf(contact)], reason, all);
  const ofProject =
    start === 'booking' || start === 'project' ? project && book.contactsOf(project)[0] : undefined;
  return (
    (start === 'invoice' ? take(using('invoices'), 'the contact for invoices') : undefined) ??
    take(ofProject, 'the project’s first contact') ??
    (start === 'booking' || start === 'project'
      ? take(using('bookings'), 'the contact for bookings')
      : undefined) ??
    take(using('main'), 'the main contact') ??
    take(written[0], written.length === 1 ? 'the only contact' : 'the first contact') ??
    choice(itself, book.clients.has(client.key) ? 'the client' : 'whoever asked', all)
  );
}

/**
 * Whom a letter to a partner or a member goes to: a partner of the project; the member who comes, else whoever is
 * responsible. Never to a client: undefined where the records name nobody, and the writer chooses.
 */
export function colleagueOf(
  book: RecordBook,
  kind: 'partner' | 'member',
  { client, project, booking }: { client?: ClientData; project?: ProjectData; booking?: BookingData },
): Choice<Recipient> | undefined {
  const all = [...(kind === 'partner' ? book.partners : book.members).values()].map((data): Recipient => ({
    kind,
    data,
  }));
  const take = (key: string | undefined, reason: string) =>
    choice(
      all.find(({ data }) => data.key === key),
      reason,
      all,
    );
  if (kind === 'partner') return take(project?.partners?.[0], 'the project’s first partner');
  return (
    take(booking?.member, 'who comes') ??
    take(project?.responsible, 'responsible for the project') ??
    take(client?.responsible, 'responsible for the client')
  );
}

/** Everyone a letter could go to: those it is written to first, then the others. */
export function addressableOf(
  book: RecordBook,
  client: ClientData | undefined,
  writtenTo: 'client' | 'partner' | 'member',
): Recipient[] {
  const people: Record<'client' | 'partner' | 'member', Recipient[]> = {
    client: client ? [...(client.contacts ?? []).map(asRecipient), { kind: 'client', data: client }] : [],
    partner: colleagues(book, 'partner'),
    member: colleagues(book, 'member'),
  };
  const others = (['client', 'partner', 'member'] as const).filter((kind) => kind !== writtenTo);
  return [...people[writtenTo], ...others.flatMap((kind) => people[kind])];
}

function colleagues(book: RecordBook, kind: 'partner' | 'member'): Recipient[] {
  return [...(kind === 'partner' ? book.partners : book.members).values()].map((data) => ({ kind, data }));
}

/** Contacts that always get a copy of a letter from this starting point. */
export function copiesOf(start: StartingKind, client: ClientData | undefined): ContactData[] {
  const use =
    start === 'invoice'
      ? 'copy of invoices'
      : start === 'booking' || start === 'project'
        ? 'copy of bookings'
        : undefined;
  return use ? (client?.contacts ?? []).filter((contact) => contact.uses?.includes(use)) : [];
}

const COPIES = new Set(['copy of invoices', 'copy of bookings']);

function asRecipient(data: ContactData): Recipient {
  return { kind: 'contact', data };
}

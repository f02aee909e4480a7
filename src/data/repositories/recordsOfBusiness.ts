import { isoMoment } from '../../core/dates/zone';
import { wordsOfSignature } from '../../core/template/wordsOfSignature';
import type { RecordKind } from '../../core/records/recordKind';
import type {
  BookingData,
  BusinessData,
  ClientData,
  InvoiceData,
  MemberData,
  ProjectData,
  RecordsFile,
} from '../../core/records/recordsFile';
import type { Database, TableName } from '../database';
import { rowsAtOnce, type RowOfTable, type RowsOfTables } from '../rowsAtOnce';
import { ownRows, type OwnRows } from './ownRows';
import { factsOf, OF_BUSINESS, wantedOf } from './wantedRows';

/** Ids of the clients, and of enquiries that may have none, whose records are wanted. */
export interface RecordScope {
  clients: readonly string[];
  enquiries?: readonly string[];
}

/** The tables of what clients have, each in the order of its rows. */
const OF_CLIENTS = {
  client: 'key',
  contact: 'position',
  item: 'position',
  enquiry: 'received_at, key',
  record_file: 'brought_at, name',
  project: 'starts_on, key',
  project_contact: 'position',
  project_partner: 'position',
  booking: 'starts_at, key',
  booking_item: 'position',
  invoice: 'issued_on, number',
  invoice_line: 'position',
  payment: 'position',
  instalment: 'position',
} as const satisfies Partial<Record<TableName, string>>;
/** The files that fields say: those of clients and projects. */
const SAID_FILES = 'booking_id is null and item_id is null and removed_at is null';
type OfClients = keyof typeof OF_CLIENTS;
const NAMES = Object.keys(OF_CLIENTS) as OfClients[];

async function rowsOfClients(
  database: Database,
  business_id: string,
  scope: RecordScope | undefined,
): Promise<RowsOfTables<OfClients>> {
  if (scope && scope.clients.length + (scope.enquiries ?? []).length === 0)
    return Object.fromEntries(NAMES.map((name) => [name, []])) as never;
  const wanted = NAMES.map((name) => {
    const said = name === 'record_file' ? `${OF_BUSINESS} and ${SAID_FILES}` : OF_BUSINESS;
    const where = scope ? `${said} and (${WITHIN[name]})` : said;
    return [name, wantedOf(name, where, OF_CLIENTS[name])] as const;
  });
  const bind = scope ? { clients: scope.clients, enquiries: scope.enquiries ?? [] } : {};
  return rowsAtOnce<OfClients>(database, Object.fromEntries(wanted), { business_id, ...bind });
}

/**
 * The records of a business as the records file of the command line, all or those of some clients with everything
 * that is theirs. Two queries, however many rows. Undefined when there is no such business.
 * @param known its own rows, where they were read before
 */
export async function recordsOfBusiness(
  database: Database,
  business_id: string,
  scope?: RecordScope,
  known?: OwnRows,
): Promise<RecordsFile | undefined> {
  const own = known ?? (await ownRows(database, business_id));
  if (!own) return undefined;
  const { business, fields, links, members, signatures, partners } = own;
  const zone = business.time_zone;
  const rows = await rowsOfClients(database, business_id, scope);
  const { client: clients, contact: contacts, item: items, enquiry: enquiries, record_file: files } = rows;
  const { project: projects, booking: bookings, invoice: invoices } = rows;
  const keys = new Map<string, string>();
  for (const rows of [members, partners, clients, contacts, items, projects]) {
    for (const { id, key } of rows) keys.set(id, key);
  }
  const key = (id: string | null) => (id === null ? undefined : keys.get(id));
  const keysOf = (ids: readonly string[]) => ids.flatMap((id) => keys.get(id) ?? []);
  const by = {
    contacts: grouped(contacts, (row) => row.client_id),
    items: grouped(items, (row) => row.client_id),
    clientFiles: grouped(files, (row) => (row.project_id ? null : row.client_id)),
    projectFiles: grouped(files, (row) => row.project_id),
    projectContacts: grouped(rows.project_contact, (row) => row.project_id),
    projectPartners: grouped(rows.project_partner, (row) => row.project_id),
    bookingItems: grouped(rows.booking_item, (row) => row.booking_id),
    lines: grouped(rows.invoice_line, (row) => row.invoice_id),
    payments: grouped(rows.payment, (row) => row.invoice_id),
    instalments: grouped(rows.instalment, (row) => row.invoice_id),
  };
  return {
    business: {
      ...(facts('business', business) as BusinessData),
      links: links.map(({ key: one, name, address }) => ({ key: one, name, address })),
      custom_fields: fields.map(({ record, key: one, label, type, choices, help }) =>
        present({ record, key: one, label, type, choices, help }),
      ),
    },
    members: members.map((member): MemberData =>
      facts('member', { ...member, signature: signatureText(signatures, member.id) }),
    ),
    partners: partners.map((partner) => facts('partner', partner)),
    clients: clients.map((client): ClientData =>
      facts('client', {
        ...client,
        responsible: key(client.responsible_id),
        contacts: by.contacts(client.id).map((contact) => facts('contact', contact)),
        items: by.items(client.id).map((item) => facts('item', item)),
        files: by.clientFiles(client.id).map((file) => file.name),
      }),
    ),
    enquiries: enquiries.map((enquiry) =>
      facts('enquiry', {
        ...enquiry,
        client: key(enquiry.client_id),
        received_at: isoMoment(enquiry.received_at.getTime(), zone),
      }),
    ),
    projects: projects.map((project): ProjectData =>
      facts('project', {
        ...project,
        client: key(project.client_id),
        responsible: key(project.responsible_id),
        contacts: keysOf(by.projectContacts(project.id).map((row) => row.contact_id)),
        partners: keysOf(by.projectPartners(project.id).map((row) => row.partner_id)),
        files: by.projectFiles(project.id).map((file) => file.name),
      }),
    ),
    bookings: bookings.map((booking): BookingData =>
      facts('booking', {
        ...booking,
        client: key(booking.client_id),
        project: key(booking.project_id),
        member: key(booking.member_id),
        items: keysOf(by.bookingItems(booking.id).map((row) => row.item_id)),
        starts_at: isoMoment(booking.starts_at.getTime(), zone),
        ends_at: isoMoment(booking.ends_at.getTime(), zone),
      }),
    ),
    invoices: invoices.map((invoice): InvoiceData =>
      facts('invoice', {
        ...invoice,
        client: key(invoice.client_id),
        project: key(invoice.project_id),
        lines: by.lines(invoice.id).map((line) => facts('line', line)),
        payments: by.payments(invoice.id).map((payment) => facts('payment', payment)),
        instalments: by.instalments(invoice.id).map((instalment) => facts('instalment', instalment)),
      }),
    ),
  };
}

const OF_INVOICES =
  'invoice_id in (select id from invoice where business_id = $business_id and client_id = any($clients::uuid[]))';
const OF_PROJECTS =
  'project_id in (select id from project where business_id = $business_id and client_id = any($clients::uuid[]))';
const THEIRS = 'client_id = any($clients::uuid[])';

/** What a table's rows must meet to belong to the clients wanted. */
const WITHIN: Readonly<Record<OfClients, string>> = {
  client: 'id = any($clients::uuid[])',
  contact: THEIRS,
  item: THEIRS,
  enquiry: `${THEIRS} or id = any($enquiries::uuid[])`,
  record_file: THEIRS,
  project: THEIRS,
  project_contact: THEIRS,
  project_partner: OF_PROJECTS,
  booking: THEIRS,
  booking_item: THEIRS,
  invoice: THEIRS,
  invoice_line: OF_INVOICES,
  payment: OF_INVOICES,
  instalment: OF_INVOICES,
};

/** What a row says that the catalogue knows, without what is empty: a missing fact is an absent key. */
function facts(kind: RecordKind, row: object) {
  return present(row, factsOf(kind));
}

function present(row: object, names: readonly string[] = Object.keys(row)) {
  const said: Record<string, unknown> = {};
  for (const name of names) {
    const value = (row as Record<string, unknown>)[name];
    if (!isNothing(value)) said[name] = value;
  }
  return said as never;
}

function isNothing(value: unknown): boolean {
  if (value === null || value === undefined || value === '') return true;
  if (Array.isArray(value)) return value.length === 0;
  return typeof value === 'object' && !(value instanceof Date) && Object.keys(value).length === 0;
}

/** The signature that stands under a member's letters: their own default one. */
function signatureText(signatures: readonly RowOfTable<'signature'>[], member: string): string | undefined {
  const own = signatures.find((one) => one.member_id === member && one.is_default);
  return own && wordsOfSignature(own.document);
}

function grouped<T>(rows: readonly T[], by: (row: T) => string | null): (id: string) => readonly T[] {
  const groups = new Map<string | null, T[]>();
  for (const row of rows) {
    const group = groups.get(by(row));
    if (group) group.push(row);
    else groups.set(by(row), [row]);
  }
  return (id) => groups.get(id) ?? [];
}

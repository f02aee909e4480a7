import type { RecordsFile } from '../../core/records/recordsFile';
import type { Rows } from '../rows';
import { stableId } from '../stableId';

/** A records file as rows: every key a stable id, every reference the id it stands for. */
export function recordRows(records: RecordsFile, business_id: string): Rows {
  return {
    ...businessRows(records, business_id),
    ...clientRows(records, business_id),
    ...projectRows(records, business_id),
    ...bookingRows(records, business_id),
    ...invoiceRows(records, business_id),
  };
}

const refer = (kind: string, key: string | undefined) => (key ? stableId(kind, key) : null);
const contactId = (client: string, key: string) => stableId('contact', client, key);
const itemId = (client: string, key: string) => stableId('item', client, key);

function businessRows({ business, partners = [] }: RecordsFile, business_id: string): Rows {
  const { links = [], custom_fields = [], name = '', ...own } = business;
  return {
    business: [{ ...own, name, id: business_id, key: 'larkfield', invites: true, marks_replies: true }],
    custom_field: custom_fields.map((field, position) => ({
      ...field,
      business_id,
      id: stableId('custom field', field.record, field.key),
      position,
    })),
    link: links.map((link, position) => ({ ...link, business_id, id: stableId('link', link.key), position })),
    partner: partners.map(({ name: partner = '', ...rest }) => ({
      ...rest,
      name: partner,
      business_id,
      id: stableId('partner', rest.key),
    })),
  };
}

function clientRows({ clients = [], enquiries = [] }: RecordsFile, business_id: string): Rows {
  return {
    client: clients.map(
      ({ contacts: _c, items: _i, files: _f, responsible, kind, name = '', ...client }) => ({
        ...client,
        name,
        kind: kind as 'person',
        business_id,
        id: stableId('client', client.key),
        responsible_id: refer('member', responsible),
      }),
    ),
    contact: clients.flatMap(({ key: client, contacts = [] }) =>
      contacts.map((contact, position) => ({
        ...contact,
        business_id,
        id: contactId(client, contact.key),
        client_id: stableId('client', client),
        position,
      })),
    ),
    item: clients.flatMap(({ key: client, items = [] }) =>
      items.map(({ name = '', ...item }, position) => ({
        ...item,
        name,
        business_id,
        id: itemId(client, item.key),
        client_id: stableId('client', client),
        position,
      })),
    ),
    enquiry: enquiries.map(({ client, status, received_at, ...enquiry }) => ({
      ...enquiry,
      business_id,
      id: stableId('enquiry', enquiry.key),
      client_id: refer('client', client),
      status: status as 'waiting',
      received_at: new Date(received_at ?? 0),
    })),
  };
}

function projectRows({ projects = [] }: RecordsFile, business_id: string): Rows {
  return {
    project: projects.map(
      ({
        client = '',
        contacts: _c,
        partners: _p,
        files: _f,
        responsible,
        title = '',
        status,
        ...project
      }) => ({
        ...project,
        title,
        status: status as 'planned',
        business_id,
        id: stableId('project', project.key),
        client_id: stableId('client', client),
        responsible_id: refer('member', responsible),
      }),
    ),
    project_contact: projects.flatMap(({ key, client = '', contacts = [] }) =>
      contacts.map((contact, position) => ({
        business_id,
        project_id: stableId('project', key),
        client_id: stableId('client', client),
        contact_id: contactId(client, contact),
        position,
      })),
    ),
    project_partner: projects.flatMap(({ key, partners = [] }) =>
      partners.map((partner, position) => ({
        business_id,
        project_id: stableId('project', key),
        partner_id: stableId('partner', partner),
        position,
      })),
    ),
  };
}

function bookingRows({ bookings = [] }: RecordsFile, business_id: string): Rows {
  return {
    booking: bookings.map(
      ({
        client = '',
        project,
        member,
        items: _i,
        service = '',
        status,
        starts_at,
        ends_at,
        ...booking
      }) => ({
        ...booking,
        service,
        status: status as 'confirmed',
        business_id,
        id: stableId('booking', booking.key),
        client_id: stableId('client', client),
        project_id: refer('project', project),
        member_id: refer('member', member),
        starts_at: new Date(starts_at ?? 0),
        ends_at: new Date(ends_at ?? 0),
      }),
    ),
    booking_item: bookings.flatMap(({ key, client = '', items = [] }) =>
      items.map((item, position) => ({
        business_id,
        booking_id: stableId('booking', key),
        client_id: stableId('client', client),
        item_id: itemId(client, item),
        position,
      })),
    ),
  };
}

function invoiceRows({ invoices = [] }: RecordsFile, business_id: string): Rows {
  const parts = <Part>(list: (invoice: (typeof invoices)[number]) => Part[] | undefined) =>
    invoices.flatMap((invoice) =>
      (list(invoice) ?? []).map((part, position) => ({
        ...part,
        business_id,
        invoice_id: stableId('invoice', invoice.key),
        position,
      })),
    );
  const decimal = (value: number | string | undefined) => (value === undefined ? null : String(value));
  return {
    invoice: invoices.map(
      ({ client = '', project, lines: _l, payments: _p, instalments: _i, status, number, ...invoice }) => ({
        ...invoice,
        number: number ?? invoice.key,
        status: status as 'sent',
        business_id,
        id: stableId('invoice', invoice.key),
        client_id: stableId('client', client),
        project_id: refer('project', project),
      }),
    ),
    invoice_line: parts(({ lines }) => lines).map((line) => ({
      ...line,
      quantity: decimal(line.quantity),
      tax_rate: decimal(line.tax_rate),
      discount: decimal(line.discount),
    })),
    payment: parts(({ payments }) => payments),
    instalment: parts(({ instalments }) => instalments),
  };
}

import type { ListedKind } from '../../../core/records/recordKind';
import type { AddressData } from '../../../core/records/recordsFile';
import type { ListQuery } from './listPages';

/** What lists show of the records. */
export interface ListRows {
  client: { key: string; name: string; kind: string; address: AddressData | null; unpaid: number };
  enquiry: { key: string; name: string; service: string | null; status: string; received_at: Date };
  project: { key: string; title: string; client: string; status: string; starts_on: string | null };
  booking: { key: string; service: string; client: string; status: string; starts_at: Date };
  invoice: {
    key: string;
    number: string | null;
    client: string;
    status: string;
    due_on: string | null;
    total: number;
    paid: number;
  };
  partner: { key: string; name: string; trade: string | null; town: string | null };
}

const withClient = (kind: string) =>
  `${kind} join client on client.business_id = ${kind}.business_id and client.id = ${kind}.client_id`;

/** What something may still be paid on: as the indexes of invoices have it. */
export const OPEN_INVOICE = `invoice.status = 'sent' and invoice.total > invoice.paid`;
const ENQUIRER = `coalesce(client.name, enquiry.name, enquiry.email, '')`;
const OPEN_PROJECT = `project.status in ('active', 'planned', 'enquiry')`;

/** The lists of records. What they bind: $now, the moment that parts what is to come from what was. */
export const RECORD_LISTS: Readonly<Record<ListedKind, ListQuery>> = {
  client: {
    kind: 'client',
    name: 'client.name',
    columns: `client.key, client.name, client.kind, client.address,
      coalesce((select sum(total - paid) from invoice where invoice.business_id = client.business_id
        and invoice.client_id = client.id and ${OPEN_INVOICE}), 0)::bigint as unpaid`,
    from: 'client',
    segments: [{ where: 'true', by: 'lower(client.name)', type: 'text', then: 'client.key', way: 'asc' }],
  },
  // Those that wait come first.
  enquiry: {
    kind: 'enquiry',
    name: ENQUIRER,
    columns: `enquiry.key, ${ENQUIRER} as name, service, status, received_at`,
    from: 'enquiry left join client on client.business_id = enquiry.business_id and client.id = enquiry.client_id',
    segments: [`(enquiry.status = 'waiting')`, `not (enquiry.status = 'waiting')`].map((where) => ({
      where,
      by: 'enquiry.received_at',
      type: 'timestamptz',
      then: 'enquiry.key',
      way: 'desc',
    })),
  },
  // What goes on comes first, the newest at the top.
  project: {
    kind: 'project',
    name: 'project.title',
    columns: 'project.key, project.title, client.name as client, project.status, project.starts_on::text',
    from: withClient('project'),
    segments: [`(${OPEN_PROJECT})`, `not (${OPEN_PROJECT})`].map((where) => ({
      where,
      by: `coalesce(project.starts_on, 'infinity')`,
      type: 'date',
      then: 'project.key',
      way: 'desc',
    })),
  },
  // Coming ones first, the next one at the top; then the past, the latest first.
  booking: {
    kind: 'booking',
    name: `''`,
    columns: 'booking.key, booking.service, client.name as client, booking.status, booking.starts_at',
    from: withClient('booking'),
    segments: [
      {
        where: 'booking.starts_at >= $now',
        by: 'booking.starts_at',
        type: 'timestamptz',
        then: 'booking.key',
        way: 'asc',
      },
      {
        where: 'booking.starts_at < $now',
        by: 'booking.starts_at',
        type: 'timestamptz',
        then: 'booking.key',
        way: 'desc',
      },
    ],
  },
  // Open ones first, the longest due at the top; then the others, the newest first.
  invoice: {
    kind: 'invoice',
    name: `coalesce(invoice.number || ', ', '') || client.name`,
    columns: `invoice.key, invoice.number, client.name as client, invoice.status, invoice.due_on::text,
      invoice.total, invoice.paid`,
    from: withClient('invoice'),
    segments: [
      {
        where: OPEN_INVOICE,
        by: `coalesce(invoice.due_on, 'infinity')`,
        type: 'date',
        then: 'invoice.number',
        way: 'asc',
      },
      {
        where: `not (${OPEN_INVOICE})`,
        by: `coalesce(invoice.issued_on, 'infinity')`,
        type: 'date',
        then: 'coalesce(invoice.number, invoice.key)',
        way: 'desc',
      },
    ],
  },
  partner: {
    kind: 'partner',
    name: 'partner.name',
    columns: `partner.key, partner.name, partner.trade, partner.address ->> 'town' as town`,
    from: 'partner',
    segments: [{ where: 'true', by: 'lower(partner.name)', type: 'text', then: 'partner.key', way: 'asc' }],
  },
};

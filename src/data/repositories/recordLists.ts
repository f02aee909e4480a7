import { QueryTypes } from 'sequelize';
import type { AddressData } from '../../core/records/recordsFile';
import type { Database } from '../database';

/** What lists show of the records: compact, as there may be thousands. One query each. */
export interface ClientEntry {
  key: string;
  name: string;
  kind: string;
  address: AddressData | null;
  email: string | null;
  /** names of its people, to be found by */
  people: string | null;
  /** of the client and its people */
  numbers: string[] | null;
  tags: string[];
  /** numbers of its invoices */
  invoices: string | null;
  unpaid: number;
}

export function clientList({ sequelize }: Database, business_id: string): Promise<ClientEntry[]> {
  return sequelize.query<ClientEntry>(
    `select client.key, client.name, client.kind, client.address, client.email,
       people.names as people, client.tags, bills.numbers as invoices, coalesce(bills.open, 0)::bigint as unpaid,
       array_remove(array[client.phone, client.mobile] || people.numbers, null) as numbers
     from client
     left join (
       select client_id, string_agg(concat_ws(' ', coalesce(preferred_name, given_name), family_name), ', ' order by position) as names,
         array_agg(phone) || array_agg(mobile) as numbers
       from contact where business_id = $business_id group by client_id
     ) people on people.client_id = client.id
     left join (
       select client_id, string_agg(number, ' ') as numbers,
         sum(total - paid) filter (where invoice.status = 'sent' and total > paid) as open
       from invoice
       where invoice.business_id = $business_id group by client_id
     ) bills on bills.client_id = client.id
     where client.business_id = $business_id order by lower(client.name), client.key`,
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
}

export interface EnquiryEntry {
  key: string;
  name: string;
  service: string | null;
  status: string;
  received_at: Date;
}

export function enquiryList({ sequelize }: Database, business_id: string): Promise<EnquiryEntry[]> {
  return sequelize.query<EnquiryEntry>(
    `select enquiry.key, coalesce(client.name, enquiry.name, enquiry.email, '') as name, service, status, received_at
     from enquiry left join client on client.business_id = enquiry.business_id and client.id = enquiry.client_id
     where enquiry.business_id = $business_id order by status = 'waiting' desc, received_at desc`,
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
}

export interface ProjectEntry {
  key: string;
  title: string;
  client: string;
  status: string;
  starts_on: string | null;
}

export function projectList({ sequelize }: Database, business_id: string): Promise<ProjectEntry[]> {
  return sequelize.query<ProjectEntry>(
    `select project.key, project.title, client.name as client, project.status, project.starts_on::text
     from project join client on client.business_id = project.business_id and client.id = project.client_id
     where project.business_id = $business_id
     order by project.status in ('active', 'planned', 'enquiry') desc, project.starts_on desc nulls first, project.key`,
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
}

export interface BookingEntry {
  key: string;
  service: string;
  client: string;
  status: string;
  starts_at: Date;
}

/** Coming ones first, the next one at the top; then the past, the latest first. */
export function bookingList(
  { sequelize }: Database,
  business_id: string,
  now: Date,
): Promise<BookingEntry[]> {
  return sequelize.query<BookingEntry>(
    `select booking.key, booking.service, client.name as client, booking.status, booking.starts_at
     from booking join client on client.business_id = booking.business_id and client.id = booking.client_id
     where booking.business_id = $business_id
     order by booking.starts_at < $now, case when booking.starts_at >= $now then booking.starts_at end,
       booking.starts_at desc, booking.key`,
    { bind: { business_id, now }, type: QueryTypes.SELECT },
  );
}

export interface InvoiceEntry {
  key: string;
  number: string;
  client: string;
  status: string;
  issued_on: string | null;
  due_on: string | null;
  total: number;
  paid: number;
}

export function invoiceList({ sequelize }: Database, business_id: string): Promise<InvoiceEntry[]> {
  return sequelize.query<InvoiceEntry>(
    `select invoice.key, invoice.number, client.name as client, invoice.status, invoice.issued_on::text,
       invoice.due_on::text, invoice.total, invoice.paid
     from invoice
     join client on client.business_id = invoice.business_id and client.id = invoice.client_id
     where invoice.business_id = $business_id
     order by invoice.status = 'sent' and invoice.total > invoice.paid desc, invoice.due_on, invoice.number desc`,
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
}

import type { RecordKind } from '../core/records/recordKind';

/** The tables whose rows are records, with what the catalogue calls them. */
export const RECORD_TABLES = {
  business: 'business',
  member: 'member',
  partner: 'partner',
  client: 'client',
  contact: 'contact',
  item: 'item',
  enquiry: 'enquiry',
  project: 'project',
  booking: 'booking',
  invoice: 'invoice',
  invoice_line: 'line',
  payment: 'payment',
  instalment: 'instalment',
} as const satisfies Record<string, RecordKind>;

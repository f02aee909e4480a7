import type { FactsOf } from '../../../core/contract/records/recordForms';
import type { FormKind } from '../../../core/contract/records/formKinds';
import type { TableName } from '../../database';

/** The kinds of record whose facts stand in one row, with lists beside it. */
export type RowKind = Exclude<FormKind, 'client'>;

/** A fact that is the key of another record. */
interface Reference {
  fact: string;
  table: 'client' | 'project' | 'member';
  column: string;
  /** what is said where the record is not there */
  missing: string;
  /** it belongs to the record's own client */
  ofClient?: boolean;
}

/** A list beside the row: keys of other records, or rows of facts. */
export type Part =
  | {
      fact: string;
      table: Extract<TableName, 'booking_item' | 'project_contact' | 'project_partner'>;
      of: 'item' | 'contact' | 'partner';
      column: string;
      /** the others belong to the record's own client */
      ofClient?: boolean;
      missing: string;
    }
  | { fact: string; table: Extract<TableName, 'invoice_line' | 'instalment'>; columns: readonly string[] };

/** How a kind of record is kept. */
export interface KeptKind<Facts> {
  /** facts that are columns of the same name */
  columns: readonly string[];
  /** those that are moments: ISO in the facts, a time in the row */
  moments: readonly string[];
  references: readonly Reference[];
  parts: readonly Part[];
  /** the column that a part's rows name the record by */
  own: string;
  /** what a new one's key is made of */
  called: (facts: Facts, client: string | undefined) => string;
}

const CLIENT: Reference = {
  fact: 'client',
  table: 'client',
  column: 'client_id',
  missing: 'This client is no longer there.',
};
const PROJECT: Reference = {
  fact: 'project',
  table: 'project',
  column: 'project_id',
  missing: 'This is no project of the client.',
  ofClient: true,
};
const member = (fact: string, column: string): Reference => ({
  fact,
  table: 'member',
  column,
  missing: 'There is no such member.',
});

export const KEPT_KINDS: { readonly [Kind in RowKind]: KeptKind<FactsOf[Kind]> } = {
  enquiry: {
    columns: ['via', 'name', 'email', 'phone', 'message', 'service', 'wanted_on', 'status'],
    moments: ['received_at'],
    references: [CLIENT],
    parts: [],
    own: 'enquiry_id',
    called: ({ name, email }, client) => client ?? name ?? email ?? 'enquiry',
  },
  project: {
    columns: ['title', 'status', 'location', 'starts_on', 'ends_on', 'value', 'notes', 'custom'],
    moments: [],
    references: [CLIENT, member('responsible', 'responsible_id')],
    parts: [
      {
        fact: 'contacts',
        table: 'project_contact',
        of: 'contact',
        column: 'contact_id',
        ofClient: true,
        missing: 'One of these people is no longer at the client.',
      },
      {
        fact: 'partners',
        table: 'project_partner',
        of: 'partner',
        column: 'partner_id',
        missing: 'One of these partners is no longer there.',
      },
    ],
    own: 'project_id',
    called: ({ title }, client) => `${client ?? ''} ${title}`,
  },
  booking: {
    columns: ['service', 'status', 'location', 'price', 'notes', 'custom'],
    moments: ['starts_at', 'ends_at'],
    references: [CLIENT, PROJECT, member('member', 'member_id')],
    parts: [
      {
        fact: 'items',
        table: 'booking_item',
        of: 'item',
        column: 'item_id',
        ofClient: true,
        missing: 'One of these is no longer the client’s.',
      },
    ],
    own: 'booking_id',
    called: ({ starts_at }, client) => `${client ?? ''} ${starts_at.slice(0, 10)}`,
  },
  invoice: {
    columns: ['status', 'issued_on', 'due_on', 'bill_to', 'pay_link', 'notes', 'custom'],
    moments: [],
    references: [CLIENT, PROJECT],
    parts: [
      {
        fact: 'lines',
        table: 'invoice_line',
        columns: ['description', 'quantity', 'unit_price', 'tax_rate', 'discount'],
      },
      { fact: 'instalments', table: 'instalment', columns: ['due_on', 'amount'] },
    ],
    own: 'invoice_id',
    called: (_, client) => `${client ?? ''} invoice`,
  },
  partner: {
    columns: ['name', 'trade', 'given_name', 'family_name', 'email', 'phone', 'address', 'custom'],
    moments: [],
    references: [],
    parts: [],
    own: 'partner_id',
    called: ({ name }) => name,
  },
};

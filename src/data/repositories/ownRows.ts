import type { Signature } from '../../core/template/template';
import type { Database } from '../database';
import { rowsAtOnce, type RowOfTable, type RowsOfTables } from '../rowsAtOnce';
import { OF_BUSINESS, wantedOf } from './wantedRows';

/** The rows that belong to no client: the business itself, and what it has of its own. */
export interface OwnRows {
  business: RowOfTable<'business'>;
  fields: RowOfTable<'custom_field'>[];
  links: RowOfTable<'link'>[];
  members: RowOfTable<'member'>[];
  signatures: RowOfTable<'signature'>[];
  partners: RowOfTable<'partner'>[];
}

/** They, as one query reads them; others of the business may be read with them. Binds $business_id. */
export const OWN = {
  business: wantedOf('business', 'id = $business_id'),
  custom_field: wantedOf('custom_field', OF_BUSINESS, 'position'),
  link: wantedOf('link', OF_BUSINESS, 'position'),
  member: wantedOf('member', OF_BUSINESS, 'role desc, key'),
  signature: wantedOf('signature', OF_BUSINESS, 'name'),
  partner: wantedOf('partner', OF_BUSINESS, 'key'),
} as const;

/** Reads them. Undefined when there is no such business. */
export async function ownRows(database: Database, business_id: string): Promise<OwnRows | undefined> {
  return ownRowsIn(await rowsAtOnce<keyof typeof OWN>(database, OWN, { business_id }));
}

/** They among the rows of one query. Undefined when there is no such business. */
export function ownRowsIn(rows: RowsOfTables<keyof typeof OWN>): OwnRows | undefined {
  const { business, custom_field, link, member, signature, partner } = rows;
  const [own] = business;
  return (
    own && {
      business: own,
      fields: custom_field,
      links: link,
      members: member,
      signatures: signature,
      partners: partner,
    }
  );
}

/** What letters are signed with, of rows that were read. */
export function signaturesIn({ members, signatures }: OwnRows): Signature[] {
  return signatures.map(({ key, name, former_names: formerly, member_id, is_default: usual, document }) => {
    const member = members.find(({ id }) => id === member_id);
    return { key, name, formerly, ...(member ? { member: member.key } : {}), usual, document };
  });
}

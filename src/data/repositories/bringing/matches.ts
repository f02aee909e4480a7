import { QueryTypes } from 'sequelize';
import type { AskedMatches, Match } from '../../../core/contract/bringing';
import type { Database } from '../../database';

/** More than so many that have a name are nobody in particular. */
const MOST_OF_A_ROW = 5;

type Found = Match['clients'][number] & { row: number };

/**
 * Clients that rows may be, or be of: with one of their addresses or numbers, else with a name that stands in their words. One look
 * at the clients for all rows.
 * @param names each row's words in every way in which a name may stand in them, folded as the database does
 */
export async function clientMatches(
  { sequelize }: Database,
  business_id: string,
  rows: readonly { row: number; emails: string[]; phones: string[]; names: string[] }[],
): Promise<Map<number, Match['clients']>> {
  const wanted = rows.flatMap(({ row, emails, phones, names }) => [
    ...emails.map((said) => ({ row, by: 'email', said })),
    ...phones.map((said) => ({ row, by: 'number', said })),
    ...names.map((said) => ({ row, by: said.includes(' ') ? 'name' : 'last name', said })),
    // A house may be called by one word.
    ...names.filter((said) => !said.includes(' ')).map((said) => ({ row, by: 'name', said })),
  ]);
  const matches = new Map<number, Match['clients']>();
  if (wanted.length === 0) return matches;
  const found = await sequelize.query<Found>(
    `with wanted as materialized (
       select * from jsonb_to_recordset($wanted::jsonb) as one("row" integer, by text, said text)),
     reached as (
       select client.id as client_id, how.* from client,
         lateral (values ('email', lower(client.email)), ('number', digits(client.phone)), ('number', digits(client.mobile)),
           ('name', lower(client.name)), ('last name', lower(substring(client.name from ' ([^ ]{3,})$'))),
           ('name', lower(nullif(concat_ws(' ', client.given_name, client.family_name), client.given_name)))) how(by, said)
       where client.business_id = $business_id and how.said is not null
       union all
       select client.id, 'number', digits(one ->> 'number') from client, jsonb_array_elements(more_phones) one
       where client.business_id = $business_id and more_phones <> '[]'
       union all
       select contact.client_id, how.* from contact,
         lateral (values ('email', lower(contact.email)), ('number', digits(contact.phone)), ('number', digits(contact.mobile)),
           ('name', lower(nullif(concat_ws(' ', contact.given_name, contact.family_name), contact.given_name)))) how(by, said)
       where contact.business_id = $business_id and how.said is not null)
     select distinct on (wanted.row, client.key) wanted.row, client.key, client.name, wanted.by
     from wanted join reached using (by, said)
     join client on client.business_id = $business_id and client.id = reached.client_id
     order by wanted.row, client.key, array_position(array['email', 'number', 'name', 'last name'], wanted.by)`,
    { bind: { business_id, wanted: JSON.stringify(wanted) }, type: QueryTypes.SELECT },
  );
  for (const { row, ...client } of found) {
    const there = matches.get(row) ?? [];
    if (there.length < MOST_OF_A_ROW) matches.set(row, [...there, client]);
  }
  // An address is surer than a number, and both than a name.
  const sure = ['email', 'number', 'name', 'last name'];
  for (const clients of matches.values()) clients.sort((a, b) => sure.indexOf(a.by) - sure.indexOf(b.by));
  return matches;
}

/** What has such marks: invoices by their numbers with what is open on them, or visits of another calendar. */
export async function markedOnes(
  { sequelize }: Database,
  business_id: string,
  kind: AskedMatches['kind'],
  marks: readonly string[],
): Promise<Map<string, NonNullable<Match['there']>>> {
  if (marks.length === 0 || kind === 'client') return new Map();
  const [table, column, open] =
    kind === 'booking' ? ['booking', 'uid', ''] : ['invoice', 'number', ', (total - paid)::bigint as open'];
  const rows = await sequelize.query<{
    mark: string;
    key: string;
    client: string;
    client_key: string;
    open?: number;
  }>(
    `select ${table}.${column} as mark, ${table}.key, client.name as client, client.key as client_key${open} from ${table}
     join client on client.business_id = ${table}.business_id and client.id = ${table}.client_id
     where ${table}.business_id = $business_id and ${table}.${column} = any($marks)
       ${kind === 'payment' ? "and invoice.status = 'sent'" : ''}`,
    { bind: { business_id, marks }, type: QueryTypes.SELECT },
  );
  return new Map(rows.map(({ mark, ...one }) => [mark, one]));
}

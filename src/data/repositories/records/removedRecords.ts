import { QueryTypes } from 'sequelize';
import type { FormKind } from '../../../core/contract/records/formKinds';
import { TABLES, type Database, type TableName } from '../../database';

/** A record that lies among the removed ones. */
export interface Removed {
  id: string;
  kind: FormKind;
  key: string;
  name: string;
  removed_at: Date;
  /** who did it */
  member: string;
}

/** What came of removing a record. */
export type Removing =
  | { result: 'removed'; id: string }
  | { result: 'overtaken' }
  /** invoices that were issued stay, and with them whose they are */
  | { result: 'issued'; invoices: number }
  /** letters about it are on their way, or held */
  | { result: 'going'; letters: number };

const THEIRS = 'client_id = $id';
const OF_INVOICES =
  'invoice_id in (select id from invoice where business_id = $business_id and client_id = $id)';
const OF_PROJECTS =
  'project_id in (select id from project where business_id = $business_id and client_id = $id)';

/** What goes with a record: the rows of each table, in an order in which they may be written, and what points at them. */
interface Going {
  name: string;
  rows: readonly (readonly [table: TableName, where: string])[];
  loosened: readonly (readonly [table: TableName, column: string, of: TableName])[];
  /** the letters of it */
  letters: string;
  /** the invoices that go with it */
  invoices?: string;
}

const GOING: Readonly<Record<FormKind, Going>> = {
  client: {
    name: 'name',
    rows: [
      ['client', 'id = $id'],
      ['contact', THEIRS],
      ['item', THEIRS],
      ['project', THEIRS],
      ['project_contact', THEIRS],
      ['project_partner', OF_PROJECTS],
      ['enquiry', THEIRS],
      ['booking', THEIRS],
      ['booking_item', THEIRS],
      ['invoice', THEIRS],
      ['invoice_line', OF_INVOICES],
      ['payment', OF_INVOICES],
      ['instalment', OF_INVOICES],
      ['record_file', THEIRS],
    ],
    loosened: [
      ['message', 'client_id', 'client'],
      ['message', 'enquiry_id', 'enquiry'],
      ['message', 'project_id', 'project'],
      ['message', 'booking_id', 'booking'],
      ['message', 'invoice_id', 'invoice'],
    ],
    letters: THEIRS,
    invoices: THEIRS,
  },
  enquiry: {
    name: "coalesce((select name from client where client.id = client_id), name, email, '')",
    rows: [['enquiry', 'id = $id']],
    loosened: [['message', 'enquiry_id', 'enquiry']],
    letters: 'enquiry_id = $id',
  },
  project: {
    name: 'title',
    rows: [
      ['project', 'id = $id'],
      ['project_contact', 'project_id = $id'],
      ['project_partner', 'project_id = $id'],
      ['record_file', 'project_id = $id'],
    ],
    loosened: [
      ['booking', 'project_id', 'project'],
      ['invoice', 'project_id', 'project'],
      ['message', 'project_id', 'project'],
    ],
    letters: 'project_id = $id',
  },
  booking: {
    name: "service || ', ' || (select name from client where client.id = client_id)",
    rows: [
      ['booking', 'id = $id'],
      ['booking_item', 'booking_id = $id'],
      ['record_file', 'booking_id = $id'],
    ],
    loosened: [['message', 'booking_id', 'booking']],
    letters: 'booking_id = $id',
  },
  invoice: {
    name: "coalesce(number || ', ', '') || (select name from client where client.id = client_id)",
    rows: [
      ['invoice', 'id = $id'],
      ['invoice_line', 'invoice_id = $id'],
      ['payment', 'invoice_id = $id'],
      ['instalment', 'invoice_id = $id'],
    ],
    loosened: [['message', 'invoice_id', 'invoice']],
    letters: 'invoice_id = $id',
    invoices: 'id = $id',
  },
  partner: {
    name: 'name',
    rows: [
      ['partner', 'id = $id'],
      ['project_partner', 'partner_id = $id'],
    ],
    loosened: [],
    letters: 'false',
  },
};

/**
 * Takes a record out that is still as it was seen, with all that is its own; what pointed at it points nowhere until it is put
 * back.
 */
export async function removeRecord(
  { sequelize, inTransaction }: Database,
  { business_id, id: member_id }: { business_id: string; id: string },
  kind: FormKind,
  key: string,
  version: number,
  at: Date,
): Promise<Removing> {
  const { name, rows, loosened, letters, invoices } = GOING[kind];
  return inTransaction(async () => {
    const bind = { business_id };
    const [record] = await sequelize.query<{ id: string }>(
      `select id from ${kind} where business_id = $business_id and key = $key and version = $version for update`,
      { bind: { ...bind, key, version }, type: QueryTypes.SELECT },
    );
    if (!record) return { result: 'overtaken' };
    const { id } = record;
    const [held] = await sequelize.query<{ letters: number; invoices: number }>(
      `select (select count(*) from message where business_id = $business_id and (${letters})
           and status in ('going', 'later', 'held'))::int as letters,
         (${invoices ? `select count(*) from invoice where business_id = $business_id and (${invoices}) and status <> 'draft'` : 'select 0'})::int
           as invoices`,
      { bind: { ...bind, id }, type: QueryTypes.SELECT },
    );
    if (held!.invoices > 0) return { result: 'issued', invoices: held!.invoices };
    if (held!.letters > 0) return { result: 'going', letters: held!.letters };
    const all = rows.map(
      ([table, where]) =>
        `'${table}', (select coalesce(jsonb_agg(to_jsonb(one)), '[]') from ${table} one where business_id = $business_id and (${where}))`,
    );
    const ids = (of: TableName) =>
      `(select id from ${of} where business_id = $business_id and (${whereOf(rows, of)}))`;
    const pointing = loosened.map(
      ([table, column, of]) =>
        `jsonb_build_object('table', '${table}', 'column', '${column}', 'was',
           (select coalesce(jsonb_object_agg(id, ${column}), '{}') from ${table}
             where business_id = $business_id and ${column} in ${ids(of)}))`,
    );
    const [kept] = await sequelize.query<{ id: string }>(
      `insert into removed_record (business_id, id, kind, key, name, member_id, removed_at, rows, loosened)
       select $business_id, gen_random_uuid(), $kind, key, ${name}, $member_id, $at,
         jsonb_build_object(${all.join(', ')}), jsonb_build_array(${pointing.join(', ')})
       from ${kind} where business_id = $business_id and id = $id returning id`,
      { bind: { ...bind, id, kind, member_id, at }, type: QueryTypes.SELECT },
    );
    for (const [table, column, of] of loosened)
      await sequelize.query(
        `update ${table} set ${column} = null where business_id = $business_id and ${column} in ${ids(of)}`,
        { bind: { ...bind, id } },
      );
    for (const [table, where] of [...rows].reverse())
      await sequelize.query(`delete from ${table} where business_id = $business_id and (${where})`, {
        bind: { ...bind, id },
      });
    return { result: 'removed', id: kept!.id };
  });
}

function whereOf(rows: Going['rows'], of: TableName): string {
  return rows.find(([table]) => table === of)![1];
}

/** Tables whose rows have a key that another may have by now. */
const KEYED: ReadonlySet<TableName> = new Set([
  'client',
  'project',
  'enquiry',
  'booking',
  'invoice',
  'partner',
]);

/** Puts a record back with all that was its own. Gives its kind and key; undefined: it is no longer there. */
export async function putBackRecord(
  { sequelize, inTransaction }: Database,
  business_id: string,
  id: string,
): Promise<{ kind: FormKind; key: string } | undefined> {
  return inTransaction(async () => {
    const bind = { business_id, id };
    const [removed] = await sequelize.query<{ kind: FormKind }>(
      'select kind from removed_record where business_id = $business_id and id = $id for update',
      { bind, type: QueryTypes.SELECT },
    );
    if (!removed) return undefined;
    const { kind } = removed;
    const from = 'removed_record where business_id = $business_id and id = $id';
    let key = '';
    for (const [table] of GOING[kind].rows) {
      const columns = columnsOf(table);
      const values = columns.map((column) => {
        // Sums follow the lines and payments as they come back.
        if (table === 'invoice' && (column === 'total' || column === 'paid')) return '0';
        if (column !== 'key' || !KEYED.has(table)) return `one.${column}`;
        return `case when exists (select from ${table} other where other.business_id = one.business_id and other.key = one.key)
          then one.key || '-' || left(one.id::text, 4) else one.key end`;
      });
      const rows = await sequelize.query<{ key?: string }>(
        `insert into ${table} (${columns.join(', ')})
         select ${values.join(', ')} from jsonb_populate_recordset(null::${table}, (select rows -> '${table}' from ${from})) one
         ${columns.includes('key') ? 'returning key' : 'returning 1'}`,
        { bind, type: QueryTypes.SELECT },
      );
      if (table === kind) key = rows[0]!.key!;
    }
    for (const [at, [table, column]] of GOING[kind].loosened.entries())
      await sequelize.query(
        `update ${table} set ${column} = was.value::uuid
         from jsonb_each_text((select loosened -> ${at} -> 'was' from ${from})) was
         where ${table}.business_id = $business_id and ${table}.id = was.key::uuid and ${table}.${column} is null`,
        { bind },
      );
    await sequelize.query(`delete from ${from}`, { bind });
    return { kind, key };
  });
}

/** The columns of a table that a row is written with: not those that the database works out. */
function columnsOf(table: TableName): string[] {
  return Object.entries(TABLES[table])
    .filter(([, column]) => !(column as { autoIncrement?: boolean }).autoIncrement)
    .map(([name]) => name);
}

/** What lies there, the newest first. */
export async function removedRecords(
  { sequelize }: Database,
  business_id: string,
  most: number,
): Promise<Removed[]> {
  return sequelize.query<Removed>(
    `select removed.id, removed.kind, removed.key, removed.name, removed.removed_at, member.full_name as member
     from removed_record removed join member on member.business_id = removed.business_id and member.id = removed.member_id
     where removed.business_id = $business_id order by removed_at desc, removed.id limit $most`,
    { bind: { business_id, most }, type: QueryTypes.SELECT },
  );
}

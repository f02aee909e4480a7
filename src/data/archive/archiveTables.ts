import { QueryTypes } from 'sequelize';
import type { Database } from '../database';

/** What is not taken out: what lets somebody in, here or elsewhere, what is on its way in, and what follows from the rest by itself. */
const STAYS: readonly string[] = [
  'session',
  'sending_account',
  'mailbox',
  'mailbox_folder',
  'signing_key',
  'brought_rows',
  'record_words',
  'letter_words',
  'file_room',
];

/** A table of a business's rows. */
export interface ArchiveTable {
  name: string;
  /** its columns, but for those that the database makes itself */
  columns: string[];
  /** those by which rows are told, in their order */
  key: string[];
  /** a number that the database gives each row: their order */
  counted?: string | null;
}

/** Every table that a business has rows in, in an order in which rows may be written: what is pointed at comes first. */
export async function archiveTables({ sequelize }: Database): Promise<ArchiveTable[]> {
  const rows = await sequelize.query<ArchiveTable & { points_at: string[] }>(
    `select class.relname as name,
       array(select attname::text from pg_attribute where attrelid = class.oid and attnum > 0 and not attisdropped
         and attgenerated = '' and attidentity = '' order by attnum) as columns,
       array(select attname::text from pg_index join pg_attribute on attrelid = class.oid and attnum = any (indkey)
         where indrelid = class.oid and indisprimary order by array_position(indkey::int[], attnum::int)) as key,
       (select attname::text from pg_attribute where attrelid = class.oid and attidentity <> '') as counted,
       array(select distinct other.relname::text from pg_constraint join pg_class other on other.oid = confrelid
         where conrelid = class.oid and contype = 'f' and confrelid <> class.oid and not condeferrable) as points_at
     from pg_class class join pg_namespace on pg_namespace.oid = relnamespace
     where nspname = 'public' and relkind = 'r' and (class.relname = 'business' or exists (
       select from pg_attribute where attrelid = class.oid and attname = 'business_id' and not attisdropped))
     order by 1`,
    { type: QueryTypes.SELECT },
  );
  const open = rows.filter(({ name }) => !STAYS.includes(name));
  const ordered: ArchiveTable[] = [];
  const done = new Set<string>();
  while (open.length > 0) {
    const at = open.findIndex(({ points_at }) =>
      points_at.every((other) => done.has(other) || !open.some(({ name }) => name === other)),
    );
    if (at < 0) throw new Error(`Tables point at each other: ${open.map(({ name }) => name).join(', ')}`);
    const [{ points_at: _, ...table }] = open.splice(at, 1) as [(typeof open)[number]];
    done.add(table.name);
    ordered.push(table);
  }
  return ordered;
}

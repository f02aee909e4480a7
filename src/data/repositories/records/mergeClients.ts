import { QueryTypes } from 'sequelize';
import type { ClientFacts } from '../../../core/contract/records/client';
import type { Database, TableName } from '../../database';
import { CLIENT, clientColumns } from './clients';

/** What has a client, and is given to the other. */
const ROWS = ['project', 'enquiry', 'booking', 'invoice', 'record_file', 'message'] as const;
/** What of it names the client a second time. */
const TIED = ['project_contact', 'booking_item'] as const;
/** A client's people and things, whose keys are the client's own. */
const PARTS = ['contact', 'item'] as const;

/** A client that was there twice, as both were seen. */
interface Twice {
  kept: { key: string; version: number };
  gone: { key: string; version: number };
}

/**
 * Gives all that is one client's to another and takes the one out, where both are still as they were seen. Undefined: they are not.
 * @param facts what the one that stays is known by from now on
 * @returns the id that undoes it
 */
export async function mergeClients(
  database: Database,
  { business_id, id: member_id }: { business_id: string; id: string },
  { kept, gone }: Twice,
  facts: ClientFacts,
  at: Date,
): Promise<string | undefined> {
  const { sequelize, models, inTransaction } = database;
  return inTransaction(async () => {
    const rows = await sequelize.query<{ id: string; key: string }>(
      `select id, key from client where business_id = $business_id
         and (key = $kept and version = $kept_version or key = $gone and version = $gone_version) order by id for update`,
      {
        bind: {
          business_id,
          kept: kept.key,
          kept_version: kept.version,
          gone: gone.key,
          gone_version: gone.version,
        },
        type: QueryTypes.SELECT,
      },
    );
    const client_id = rows.find(({ key }) => key === kept.key)?.id;
    const away = rows.find(({ key }) => key === gone.key)?.id;
    if (!client_id || !away || client_id === away) return undefined;
    const bind = { business_id, client_id, away };
    await sequelize.query('set constraints all deferred');
    const ids = (table: string) =>
      `'${table}', (select coalesce(jsonb_agg(id), '[]') from ${table} where business_id = $business_id and client_id = $away)`;
    const parts = (table: string) =>
      `'${table}', (select coalesce(jsonb_agg(jsonb_build_object('id', id, 'key', key, 'position', position)), '[]')
         from ${table} where business_id = $business_id and client_id = $away)`;
    const [merged] = await sequelize.query<{ id: string }>(
      `insert into merged_client (business_id, id, client_id, gone, before, version, moved, member_id, merged_at)
       select $business_id, gen_random_uuid(), kept.id, to_jsonb(gone), to_jsonb(kept), kept.version + 1,
         jsonb_build_object('rows', jsonb_build_object(${ROWS.map(ids).join(', ')}),
           'parts', jsonb_build_object(${PARTS.map(parts).join(', ')})), $member_id, $at
       from client kept, client gone
       where kept.business_id = $business_id and kept.id = $client_id and gone.business_id = $business_id and gone.id = $away
       returning id`,
      { bind: { ...bind, member_id, at }, type: QueryTypes.SELECT },
    );
    for (const table of PARTS)
      await sequelize.query(
        `update ${table} set client_id = $client_id,
           key = case when exists (select from ${table} other where other.business_id = $business_id
             and other.client_id = $client_id and other.key = ${table}.key) then key || '-' || left(id::text, 4) else key end,
           position = position + (select count(*) from ${table} other where other.business_id = $business_id
             and other.client_id = $client_id)
         where business_id = $business_id and client_id = $away`,
        { bind },
      );
    for (const table of [...ROWS, ...TIED])
      await sequelize.query(
        `update ${table} set client_id = $client_id where business_id = $business_id and client_id = $away`,
        { bind },
      );
    await models.client.destroy({ where: { business_id, id: away } });
    const values = await clientColumns(database, business_id, facts);
    await models.client.update(
      { ...values, version: kept.version + 1 },
      { where: { business_id, id: client_id } },
    );
    return merged!.id;
  });
}

/** Two records of a client that became one lately. */
export interface Merged {
  id: string;
  /** what the one that went was called */
  name: string;
  merged_at: Date;
  member: string;
}

/** What went into a client since a moment, the latest first. */
export async function mergedInto(
  { sequelize }: Database,
  business_id: string,
  client_id: string,
  since: Date,
): Promise<Merged[]> {
  return sequelize.query<Merged>(
    `select merged.id, merged.gone ->> 'name' as name, merged_at, member.full_name as member
     from merged_client merged join member on member.business_id = merged.business_id and member.id = merged.member_id
     where merged.business_id = $business_id and merged.client_id = $client_id and merged_at > $since order by merged_at desc`,
    { bind: { business_id, client_id, since }, type: QueryTypes.SELECT },
  );
}

/**
 * Makes two of what became one, where it was not longer ago: each has again what it had; what came since stays with the one that
 * stayed, and what was changed of it since stands. Gives the key of the other; undefined: it is too long ago.
 */
export async function unmergeClients(
  { sequelize, inTransaction }: Database,
  business_id: string,
  id: string,
  since: Date,
): Promise<string | undefined> {
  return inTransaction(async () => {
    const bind = { business_id, id };
    const [merged] = await sequelize.query<{ client_id: string; away: string }>(
      `select client_id, (gone ->> 'id')::uuid as away from merged_client
       where business_id = $business_id and id = $id and merged_at > $since for update`,
      { bind: { ...bind, since }, type: QueryTypes.SELECT },
    );
    if (!merged) return undefined;
    const { client_id, away } = merged;
    await sequelize.query('set constraints all deferred');
    const from = 'merged_client where business_id = $business_id and id = $id';
    const [back] = await sequelize.query<{ key: string }>(
      `insert into client select (jsonb_populate_record(null::client, gone || jsonb_build_object('key',
         case when exists (select from client other where other.business_id = $business_id and other.key = gone ->> 'key')
           then (gone ->> 'key') || '-' || left(gone ->> 'id', 4) else gone ->> 'key' end))).* from ${from} returning key`,
      { bind, type: QueryTypes.SELECT },
    );
    const whose = { ...bind, client_id, away };
    for (const table of PARTS)
      await sequelize.query(
        `update ${table} set client_id = $away, key = was.key, position = was.position
         from jsonb_to_recordset((select moved -> 'parts' -> '${table}' from ${from})) as was(id uuid, key text, position integer)
         where ${table}.business_id = $business_id and ${table}.id = was.id and ${table}.client_id = $client_id`,
        { bind: whose },
      );
    for (const table of ROWS)
      await sequelize.query(
        `update ${table} set client_id = $away where business_id = $business_id and client_id = $client_id
           and id in (select value::uuid from jsonb_array_elements_text((select moved -> 'rows' -> '${table}' from ${from})))`,
        { bind: whose },
      );
    for (const [table, owner, column] of [
      ['project_contact', 'project', 'project_id'],
      ['booking_item', 'booking', 'booking_id'],
    ] as const satisfies [TableName, TableName, string][])
      await sequelize.query(
        `update ${table} set client_id = $away from ${owner} where ${table}.business_id = $business_id
           and ${owner}.business_id = $business_id and ${owner}.id = ${table}.${column} and ${owner}.client_id = $away`,
        { bind: { business_id, away } },
      );
    await sequelize.query(
      `update client set (${FACTS}) = (select ${FACTS} from jsonb_populate_record(null::client, (select before from ${from}))),
         version = version + 1
       where business_id = $business_id and id = $client_id and version = (select version from ${from})`,
      { bind: { ...bind, client_id } },
    );
    await sequelize.query(`delete from ${from}`, { bind });
    return back!.key;
  });
}

const FACTS = [...CLIENT, 'responsible_id', 'no_letters_by_id'].join(', ');

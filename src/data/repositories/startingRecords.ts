import { QueryTypes } from 'sequelize';
import { newClientOf } from '../../core/records/which/newClient';
import type { StartingPoint } from '../../core/records/which/situation';
import type { Database } from '../database';
import type { RecordScope } from './recordsOfBusiness';

/** What a letter starts from, by the ids of what is on record. Somebody who is in no record yet has none. */
export interface LetterStart {
  client_id: string | null;
  project_id: string | null;
  enquiry_id: string | null;
}

/** A record that a letter starts from. */
export interface StartingRecord extends LetterStart {
  id: string;
  version: number;
}

const COLUMNS: Readonly<Record<StartingPoint['kind'], string>> = {
  client: 'id as client_id, null::uuid as project_id, null::uuid as enquiry_id',
  enquiry: 'client_id, null::uuid as project_id, id as enquiry_id',
  project: 'client_id, id as project_id, null::uuid as enquiry_id',
  booking: 'client_id, project_id, null::uuid as enquiry_id',
  invoice: 'client_id, project_id, null::uuid as enquiry_id',
};

/** Finds the record a letter starts from; undefined when there is none of that key. */
export async function startingRecord(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  { kind, key }: StartingPoint,
): Promise<StartingRecord | undefined> {
  const [found] = await sequelize.query<StartingRecord>(
    `select id, version, ${COLUMNS[kind]} from ${kind} where business_id = $business_id and key = $key`,
    { bind: { business_id, key }, type: QueryTypes.SELECT },
  );
  return found;
}

/** What a letter starts from: a record, or whoever has an address by now, or nobody yet. Undefined: there is no such record. */
export async function startOfLetter(
  database: Pick<Database, 'sequelize'>,
  business_id: string,
  start: StartingPoint,
): Promise<LetterStart | undefined> {
  const record = await startingRecord(database, business_id, start);
  if (record) return record;
  const nobody = start.kind === 'client' ? newClientOf(start.key) : undefined;
  if (!nobody) return undefined;
  const known = await clientOfAddress(database, business_id, nobody.email);
  return { client_id: known?.id ?? null, project_id: null, enquiry_id: null };
}

/** Whose an address is: a client’s own goes before that of somebody theirs. */
export async function clientOfAddress(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  email: string,
): Promise<{ id: string; key: string; name: string } | undefined> {
  const [found] = await sequelize.query<{ id: string; key: string; name: string }>(
    `select id, key, name from (
       select 1 as place, id from client where business_id = $business_id and lower(email) = lower($email)
       union all
       select 2, client_id from contact where business_id = $business_id and lower(email) = lower($email)) one
     join client using (id) where business_id = $business_id order by place, name, id limit 1`,
    { bind: { business_id, email }, type: QueryTypes.SELECT },
  );
  return found;
}

/** The enquiries of somebody who is no client yet, by their address, the newest first; those that are closed are left out. */
export async function enquiriesOfAddress(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  email: string,
): Promise<{ key: string; name: string | null; service: string | null; status: string }[]> {
  return sequelize.query(
    `select key, name, service, status from enquiry
     where business_id = $business_id and client_id is null and lower(email) = lower($email) and status <> 'closed'
     order by received_at desc, key limit 3`,
    { bind: { business_id, email }, type: QueryTypes.SELECT },
  );
}

/** Whose records such a letter needs. */
export function scopeFrom({ client_id, enquiry_id }: LetterStart): RecordScope {
  return {
    clients: client_id === null ? [] : [client_id],
    enquiries: enquiry_id === null ? [] : [enquiry_id],
  };
}

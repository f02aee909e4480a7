import { QueryTypes } from 'sequelize';
import type { StartingPoint } from '../../core/records/which/situation';
import type { Database } from '../database';
import type { RecordScope } from './recordsOfBusiness';

/** A record that a letter starts from, by its ids. */
export interface StartingRecord {
  id: string;
  client_id: string | null;
  project_id: string | null;
  version: number;
}

const COLUMNS: Readonly<Record<StartingPoint['kind'], string>> = {
  client: 'id, id as client_id, null::uuid as project_id',
  enquiry: 'id, client_id, null::uuid as project_id',
  project: 'id, client_id, id as project_id',
  booking: 'id, client_id, project_id',
  invoice: 'id, client_id, project_id',
};

/** Finds the record a letter starts from; undefined when there is none of that key. */
export async function startingRecord(
  { sequelize }: Database,
  business_id: string,
  { kind, key }: StartingPoint,
): Promise<StartingRecord | undefined> {
  const [found] = await sequelize.query<StartingRecord>(
    `select ${COLUMNS[kind]}, version from ${kind} where business_id = $business_id and key = $key`,
    { bind: { business_id, key }, type: QueryTypes.SELECT },
  );
  return found;
}

/** Whose records such a letter needs. */
export function scopeFrom({ kind }: StartingPoint, { id, client_id }: StartingRecord): RecordScope {
  return { clients: client_id === null ? [] : [client_id], enquiries: kind === 'enquiry' ? [id] : [] };
}

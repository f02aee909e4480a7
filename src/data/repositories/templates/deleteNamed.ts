import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';
import type { Changed } from './groups';

/** Removes a passage, a signature or a shorthand, unless somebody has changed it since `version`. */
export async function deleteNamed(
  { sequelize }: Database,
  table: 'passage' | 'signature' | 'shorthand',
  business_id: string,
  key: string,
  version: number,
): Promise<Changed> {
  const found = await sequelize.query<{ done: boolean }>(
    `with gone as (
       delete from ${table} where business_id = $business_id and key = $key and version = $version returning 1)
     select exists (select from gone) as done from ${table} where business_id = $business_id and key = $key`,
    { bind: { business_id, key, version }, type: QueryTypes.SELECT },
  );
  return found.length === 0 ? 'gone' : found[0]!.done ? 'done' : 'overtaken';
}

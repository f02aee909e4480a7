import { QueryTypes } from 'sequelize';
import type { Database } from '../database';
import type { ArchiveTable } from './archiveTables';

/** The one who made a business that is empty still. */
export interface FirstOwner {
  email: string;
  row: Record<string, unknown>;
}

/** A business that nothing was done in yet, held until the transaction ends; or why it is none. */
export async function emptyBusiness(
  { sequelize }: Database,
  key: string | undefined,
): Promise<{ id: string; owner: FirstOwner } | { stays: string }> {
  const businesses = await sequelize.query<{ id: string; key: string; name: string }>(
    'select id, key, name from business where $key::text is null or key = $key order by key for update',
    { bind: { key: key ?? null }, type: QueryTypes.SELECT },
  );
  const [business] = businesses;
  if (!business)
    return {
      stays:
        key === undefined ? 'There is no business yet: make one first.' : `There is no business “${key}”.`,
    };
  if (businesses.length > 1)
    return {
      stays: `There are several businesses: name one with --business, of ${businesses.map((one) => one.key).join(', ')}.`,
    };
  const { id, name } = business;
  const [found] = await sequelize.query<{ members: number; records: number; owner: Record<string, unknown> }>(
    `select (select count(*) from member where business_id = $id)::int as members,
       ((select count(*) from client where business_id = $id) + (select count(*) from enquiry where business_id = $id)
         + (select count(*) from message where business_id = $id) + (select count(*) from partner where business_id = $id)
         + (select count(*) from removed_record where business_id = $id))::int as records,
       (select to_jsonb(member) from member where business_id = $id order by role <> 'owner' limit 1) as owner`,
    { bind: { id }, type: QueryTypes.SELECT },
  );
  const { members, records, owner } = found!;
  if (records > 0 || members !== 1)
    return {
      stays: `${name} is not empty: it has members, records or letters of its own. Make a new business for it.`,
    };
  return { id, owner: { email: String(owner.email), row: owner } };
}

/** Takes everything out of it but its own row, the last of what is pointed at first. */
export async function emptyOut(
  { sequelize }: Database,
  business_id: string,
  tables: readonly ArchiveTable[],
): Promise<void> {
  await sequelize.query('set constraints all deferred');
  for (const { name } of [...tables].reverse())
    if (name !== 'business')
      await sequelize.query(`delete from ${name} where business_id = $business_id`, {
        bind: { business_id },
      });
}

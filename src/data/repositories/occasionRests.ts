import { QueryTypes } from 'sequelize';
import type { Database } from '../database';

/** Puts an occasion off until a day, or for good. */
export async function restOccasion(
  { sequelize }: Database,
  { business_id, member_id }: { business_id: string; member_id: string },
  occasion: string,
  until: string | null,
): Promise<void> {
  await sequelize.query(
    `insert into occasion_rest (business_id, occasion, until, member_id) values ($business_id, $occasion, $until, $member_id)
     on conflict (business_id, occasion) do update set until = excluded.until, member_id = excluded.member_id, at = now()`,
    { bind: { business_id, member_id, occasion, until } },
  );
}

/** An occasion stands on Today again. */
export async function wakeOccasion(
  { sequelize }: Database,
  business_id: string,
  occasion: string,
): Promise<void> {
  await sequelize.query(
    'delete from occasion_rest where business_id = $business_id and occasion = $occasion',
    {
      bind: { business_id, occasion },
    },
  );
}

/** Which of some occasions rest on a day. */
export async function restingOccasions(
  { sequelize }: Database,
  business_id: string,
  occasions: readonly string[],
  today: string,
): Promise<ReadonlySet<string>> {
  const rows = await sequelize.query<{ occasion: string }>(
    `select occasion from occasion_rest
     where business_id = $business_id and occasion = any($occasions) and (until is null or until > $today)`,
    { bind: { business_id, occasions, today }, type: QueryTypes.SELECT },
  );
  return new Set(rows.map(({ occasion }) => occasion));
}

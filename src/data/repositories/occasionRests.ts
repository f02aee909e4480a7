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

/** Days between one reminder of an invoice and the next letter about it. */
export async function reminderSpacing({ models }: Database, business_id: string): Promise<number> {
  const found = (await models.business.findByPk(business_id, {
    attributes: ['reminder_spacing'],
    rejectOnEmpty: true,
    raw: true,
  })) as unknown as { reminder_spacing: number };
  return found.reminder_spacing;
}

export async function setReminderSpacing(
  { models }: Database,
  business_id: string,
  days: number,
): Promise<void> {
  await models.business.update({ reminder_spacing: days }, { where: { id: business_id } });
}

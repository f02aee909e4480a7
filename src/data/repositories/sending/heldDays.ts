import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

interface OfLetter {
  business_id: string;
  id: string;
}

/** A day that is kept free for somebody. */
export interface HeldDay {
  /** ISO */
  day: string;
  until: string;
  /** the letter that offers it */
  letter: string;
  /** the key of the enquiry that it answers */
  enquiry: string | null;
  /** whom it is kept free for, and the key of that client */
  name: string;
  client: string | null;
}

/** Keeps the days that a letter offers, and none that it offered before. @param until ISO; absent: none is held */
export async function keepHeldDays(
  { models, inTransaction }: Database,
  { business_id, id }: OfLetter,
  { days, until }: { days: readonly string[]; until?: string },
): Promise<void> {
  const where = { business_id, message_id: id };
  await inTransaction(async () => {
    await models.held_day.destroy({ where });
    if (until !== undefined) await models.held_day.bulkCreate(days.map((day) => ({ ...where, day, until })));
  });
}

/** Held days stand while their letter does and its enquiry is neither work by now nor closed, until the end of their last day. */
const STANDS = `held.until >= $today::date and not held.let_go
  and message.status not in ('draft', 'taken back', 'failed', 'bounced')
  and coalesce(enquiry.status, '') not in ('became work', 'closed')`;

const WITH_ENQUIRY = `join message on message.business_id = held.business_id and message.id = held.message_id
  left join enquiry on enquiry.business_id = message.business_id and enquiry.id = message.enquiry_id`;

/** Which of some days are held, by which letters and for whom. @param today ISO, by the business's clock */
export async function heldOn(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  days: readonly string[],
  today: string,
): Promise<HeldDay[]> {
  return sequelize.query<HeldDay>(
    `select held.day::text as day, held.until::text as until, message.id as letter, enquiry.key as enquiry,
       coalesce(client.name, enquiry.name, '') as name, client.key as client
     from held_day held ${WITH_ENQUIRY}
     left join client on client.business_id = message.business_id and client.id = message.client_id
     where held.business_id = $business_id and held.day = any($days::date[]) and ${STANDS}
     order by held.day, held.until, message.id`,
    { bind: { business_id, days, today }, type: QueryTypes.SELECT },
  );
}

/** The days that are held for an enquiry, by its key, the soonest first. @param today ISO, by the business's clock */
export async function daysHeldFor(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  enquiry: string,
  today: string,
): Promise<string[]> {
  const found = await sequelize.query<{ day: string }>(
    `select distinct held.day::text as day from held_day held ${WITH_ENQUIRY}
     where held.business_id = $business_id and enquiry.key = $enquiry and ${STANDS} order by 1 limit 31`,
    { bind: { business_id, enquiry, today }, type: QueryTypes.SELECT },
  );
  return found.map(({ day }) => day);
}

/** Lets the days that a letter offers go, or not. Gives whether it offers any. */
export async function letGoDays(
  { models }: Database,
  { business_id, id }: OfLetter,
  let_go: boolean,
): Promise<boolean> {
  const [changed] = await models.held_day.update({ let_go }, { where: { business_id, message_id: id } });
  return changed > 0;
}

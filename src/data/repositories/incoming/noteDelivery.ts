import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';
import { addEvent } from '../sending/deliveryEvents';

/** What a report may still change: a letter that has gone, or is just being handed over. */
const HAS_GONE = `(status in ('sent', 'delivered', 'opened', 'may have arrived', 'bounced') or status = 'going' and handed_over_at is not null)`;

/** What each changes a letter to, from which states; a delay changes none. */
const BECOMES = {
  bounced: `case when ${HAS_GONE} then 'bounced' else status end`,
  // Where one of several came back, it stays so; and opened says more.
  delivered: `case when status in ('sent', 'may have arrived') then 'delivered' else status end`,
  delayed: 'status',
} as const;

/**
 * Writes down what a report says of a letter. One that came back ends its hold: it has gone.
 * @param detail in words
 * @returns whether there was something to be said: a report of what never went says nothing
 */
export async function noteDelivery(
  { sequelize }: Pick<Database, 'sequelize'>,
  which: { business_id: string; id: string },
  state: keyof typeof BECOMES,
  at: Date,
  detail: string,
): Promise<boolean> {
  const [row] = await sequelize.query<{ id: string }>(
    `update message set status = ${BECOMES[state]}, version = version + 1,
       reason = case when $state = 'bounced' then $detail when $state = 'delivered' and status = 'may have arrived' then null else reason end,
       settled_at = case when $state = 'bounced' then null else settled_at end,
       settled_by = case when $state = 'bounced' then null else settled_by end,
       claimed_by = case when $state = 'bounced' then null else claimed_by end,
       claimed_at = case when $state = 'bounced' then null else claimed_at end,
       goes_at = case when $state = 'bounced' then null else goes_at end
     where business_id = $business_id and id = $id and direction = 'out' and ${HAS_GONE} returning id`,
    { bind: { ...which, state, detail }, type: QueryTypes.SELECT },
  );
  if (!row) return false;
  await addEvent({ sequelize }, which, state, at, detail);
  return true;
}

/** Writes down that a letter was opened: the first time, and of one that its business wants to know it of. */
export async function noteOpened(
  { sequelize }: Pick<Database, 'sequelize'>,
  which: { business_id: string; id: string },
  at: Date,
): Promise<void> {
  const [row] = await sequelize.query<{ id: string }>(
    `update message set status = 'opened', version = version + 1
     where business_id = $business_id and id = $id and direction = 'out' and status in ('sent', 'delivered', 'may have arrived')
       and (select asks_opened from business where id = $business_id) returning id`,
    { bind: which, type: QueryTypes.SELECT },
  );
  if (row) await addEvent({ sequelize }, which, 'opened', at, undefined);
}

/** Writes down that a letter of which it was not known has gone, as it lies among those that its writer has sent. */
export async function noteFoundSent(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  message_id: string,
  at: Date,
): Promise<void> {
  const [row] = await sequelize.query<{ id: string }>(
    `update message set status = 'sent', reason = null, version = version + 1
     where business_id = $business_id and message_id = $message_id and direction = 'out' and status = 'may have arrived'
     returning id`,
    { bind: { business_id, message_id }, type: QueryTypes.SELECT },
  );
  if (row) await addEvent({ sequelize }, { business_id, id: row.id }, 'sent', at, FOUND_SENT);
}

const FOUND_SENT = 'It lies in the mailbox, among what was sent.';

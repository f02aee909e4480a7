import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';
import { addingEvents } from './deliveryEvents';
import { HOLDING } from './holding';
import { WORKER_IS_GONE } from './workers';

/** Holds every letter that should have gone longer ago than its business lets pass, for a person to decide. */
export async function holdLateLetters({ sequelize }: Database, at: Date): Promise<void> {
  await sequelize.query(
    `with late as (
       select message.business_id, message.id, hold_after_hours as hours
       from message join business on business.id = business_id
       where status in ('going', 'later') and goes_at <= now() - make_interval(hours => hold_after_hours)
         and (claimed_by is null or ${WORKER_IS_GONE})
       for update of message skip locked),
     held as (
       update message set ${HOLDING}, reason = 'It should have gone more than ' || case hours when 1 then 'an hour' else hours || ' hours' end
           || ' ago. See whether it is still right.'
       from late where message.business_id = late.business_id and message.id = late.id
       returning message.business_id, message.id, status, reason)
     ${addingEvents('held', 'reason')}`,
    { bind: { at }, type: QueryTypes.INSERT },
  );
}

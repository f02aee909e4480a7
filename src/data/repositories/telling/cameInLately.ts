import { QueryTypes } from 'sequelize';
import type { CameInLately } from '../../../core/contract/telling';
import type { Database } from '../../database';

/** So many are told at once. */
const MOST = 10;

/** What came in last from people and is not dealt with, a member's or nobody's, the newest first. */
export async function cameInLately(
  { sequelize }: Database,
  business_id: string,
  member_id: string,
): Promise<CameInLately['messages']> {
  return sequelize.query(
    `select message.id, coalesce(nullif(from_name, ''), client.name, from_address, '') as "from", subject
     from message left join client on client.business_id = message.business_id and client.id = message.client_id
     where message.business_id = $business_id and direction = 'in' and settled_at is null and came_as in ('answer', 'other')
       and (message.member_id is null or message.member_id = $member_id)
     order by message.at desc, message.sequence desc limit ${MOST}`,
    { bind: { business_id, member_id }, type: QueryTypes.SELECT },
  );
}

import { QueryTypes } from 'sequelize';
import type { LastMessages } from '../../core/describe/lastSaid';
import type { Database } from '../database';
import type { RecordScope } from './recordsOfBusiness';

const MESSAGE = `jsonb_build_object('subject', subject, 'at', (extract(epoch from at) * 1000)::bigint, 'status', message.status)`;

/** The newest letter to whoever a letter is about, and the newest message that they wrote; each by the index of their letters. */
export async function lastMessages(
  { sequelize }: Database,
  business_id: string,
  { clients: [client], enquiries: [enquiry] = [] }: RecordScope,
): Promise<LastMessages> {
  const id = client ?? enquiry;
  if (id === undefined) return {};
  const theirs = `business_id = $business_id and ${client === undefined ? 'enquiry_id' : 'client_id'} = $id`;
  const [found] = await sequelize.query<{ out: LastMessages['out'] | null; in: LastMessages['in'] | null }>(
    `select
       (select ${MESSAGE} || jsonb_build_object(
           'by', (select full_name from member where member.business_id = message.business_id and member.id = member_id),
           'who', (select coalesce(jsonb_agg(coalesce(nullif(name, ''), address) order by position), '[]') from message_recipient one
             where one.business_id = message.business_id and one.message_id = message.id and role = 'to'))
         from message where ${theirs} and direction = 'out' and status not in ('draft', 'taken back')
         order by at desc limit 1) as out,
       (select ${MESSAGE} || jsonb_build_object('who', array_remove(array[coalesce(nullif(from_name, ''), from_address)], null))
         from message where ${theirs} and direction = 'in' and came_as in ('answer', 'other')
         order by at desc limit 1) as "in"`,
    { bind: { business_id, id }, type: QueryTypes.SELECT },
  );
  return { ...(found?.out ? { out: found.out } : {}), ...(found?.in ? { in: found.in } : {}) };
}

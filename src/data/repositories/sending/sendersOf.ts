import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

/** So many are tried: a business has few. */
const MOST = 20;

/** The addresses that letters come from; or those that leave by a member's own account, or (null) by that of everybody who has none. */
export async function sendersOf(
  { sequelize }: Database,
  business_id: string,
  member_id?: string | null,
): Promise<string[]> {
  const rows = await sequelize.query<{ email: string }>(
    `select email from (
       select 1 as place, email::text from member where business_id = $business_id and case
         when $all then true when $member_id::uuid is null then not exists (select from sending_account own where own.business_id = member.business_id and own.member_id = member.id)
         else id = $member_id end
       union select 0, email from business where id = $business_id and email is not null and $member_id::uuid is null) sender
     group by email order by min(place), email limit ${MOST}`,
    {
      bind: { business_id, member_id: member_id ?? null, all: member_id === undefined },
      type: QueryTypes.SELECT,
    },
  );
  return rows.map(({ email }) => email);
}

import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

/** Whose of a business an address is: a member's, or the business's own (nobody's). Undefined: it is not of the business. */
export async function ownAddress(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  address: string,
): Promise<{ member_id: string | null } | undefined> {
  const [found] = await sequelize.query<{ member_id: string | null }>(
    `select id as member_id from member where business_id = $business_id and lower(email) = lower($address)
     union all select null from business where id = $business_id and lower(email) = lower($address) limit 1`,
    { bind: { business_id, address }, type: QueryTypes.SELECT },
  );
  return found;
}

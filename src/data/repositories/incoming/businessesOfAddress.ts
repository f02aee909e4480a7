import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

/**
 * The businesses that an address is of: a member's is of one alone; one that a business gives as its own may be of several. Asked across
 * businesses.
 */
export async function businessesOfAddress(
  { sequelize }: Pick<Database, 'sequelize'>,
  address: string,
): Promise<string[]> {
  const rows = await sequelize.query<{ business_id: string; place: number }>(
    `select business_id, 1 as place from member where lower(email) = lower($address)
     union select id, 2 from business where lower(email) = lower($address) order by place`,
    { bind: { address }, type: QueryTypes.SELECT },
  );
  const [first] = rows;
  return first?.place === 1 ? [first.business_id] : rows.map(({ business_id }) => business_id);
}

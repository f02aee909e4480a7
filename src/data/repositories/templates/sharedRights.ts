import { QueryTypes } from 'sequelize';
import type { MemberRights } from '../../../core/contract/rights';
import type { Database } from '../../database';

/** The members of a business by name, with whether they may change what everyone writes with. */
export async function membersWithRights(
  { sequelize }: Database,
  business_id: string,
): Promise<MemberRights[]> {
  return sequelize.query(
    `select key, full_name as name, role = 'owner' as owner, role = 'owner' or changes_shared as "changesShared"
     from member where business_id = $business_id order by role = 'owner' desc, full_name`,
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
}

/** Sets it for one who is no owner. Gives whether there is such a member. */
export async function setChangesShared(
  { sequelize }: Database,
  business_id: string,
  key: string,
  may: boolean,
): Promise<boolean> {
  const found = await sequelize.query(
    `update member set changes_shared = $may, version = version + 1
     where business_id = $business_id and key = $key and role <> 'owner' returning key`,
    { bind: { business_id, key, may }, type: QueryTypes.SELECT },
  );
  return found.length > 0;
}

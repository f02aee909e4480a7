import { QueryTypes } from 'sequelize';
import type { NarrowingChoices } from '../../core/contract/letterNarrowing';
import type { Database } from '../database';

/** So many templates are offered; letters of others are found by their words. */
const MOST = 1000;

/** Everybody of a business, and the templates that letters were written from and a member may see, thrown away or not. */
export async function membersAndTemplates(
  { sequelize }: Database,
  business_id: string,
  member_id: string,
): Promise<NarrowingChoices> {
  const [found] = await sequelize.query<NarrowingChoices>(
    `select
       (select coalesce(jsonb_agg(jsonb_build_array(key, full_name) order by lower(full_name)), '[]')
        from member where business_id = $business_id) as members,
       (select coalesce(jsonb_agg(jsonb_build_array(key, name) order by lower(name)), '[]') from (
          select key, name from template where business_id = $business_id and letters > 0
            and (owner_id is null or owner_id = $member_id) order by lower(name) limit ${MOST}) one) as templates`,
    { bind: { business_id, member_id }, type: QueryTypes.SELECT },
  );
  return found!;
}

import type { Arrangement } from '../../../core/contract/groups';
import type { Database } from '../../database';

/**
 * Puts templates that a member may see into groups, in an order. What stands in those groups besides stays behind them; a
 * group or template that is no longer there is passed over.
 */
export async function placeTemplates(
  { sequelize, inTransaction }: Database,
  { business_id, member_id }: { business_id: string; member_id: string },
  under: Arrangement,
): Promise<void> {
  await inTransaction(async () => {
    for (const { group, templates } of under) {
      const bind = { business_id, member_id, group, templates };
      await sequelize.query(
        `with place as (select id from template_group where business_id = $business_id and key = $group)
         update template set group_id = (select id from place)
         where business_id = $business_id and key = any($templates::text[]) and deleted_at is null
           and (owner_id is null or owner_id = $member_id) and ($group::text is null or exists (select from place))
           and group_id is distinct from (select id from place)`,
        { bind },
      );
      await sequelize.query(
        `update template set position = placed.place - 1
         from (select id, row_number() over (
             order by array_position($templates::text[], key::text) nulls last, position, key) as place
           from template where business_id = $business_id and group_id is not distinct from
             (select id from template_group where business_id = $business_id and key = $group)) placed
         where template.business_id = $business_id and template.id = placed.id
           and template.position <> placed.place - 1`,
        { bind: { business_id, group, templates } },
      );
    }
  });
}

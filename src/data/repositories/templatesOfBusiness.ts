import { QueryTypes } from 'sequelize';
import type { Template } from '../../core/template/template';
import type { Passage } from '../../core/template/template';
import type { RowOf } from '../column';
import type { Database } from '../database';
import type { TEMPLATE_GROUP } from '../models/template';

/** A template as it stands now. */
export interface KeptTemplate extends Template {
  id: string;
  key: string;
  group_id: string | null;
  version: number;
}

type Group = RowOf<typeof TEMPLATE_GROUP>;

/** The groups in their order. */
export async function groupsOfBusiness({ models }: Database, business_id: string): Promise<Group[]> {
  const found = await models.template_group.findAll({
    where: { business_id },
    order: ['position'],
    raw: true,
  });
  return found as unknown as Group[];
}

/** The templates that a member may see, in their order, without those in the trash. One query. */
export async function templatesOfBusiness(
  { sequelize }: Database,
  business_id: string,
  member_id: string,
): Promise<KeptTemplate[]> {
  return sequelize.query<KeptTemplate>(
    `select template.id, template.key, template.group_id, version.version, version.head, version.document
     from template
     join template_version version on version.business_id = template.business_id
       and version.template_id = template.id and version.version = template.current_version
     where template.business_id = $business_id and template.deleted_at is null
       and (template.owner_id is null or template.owner_id = $member_id)
     order by template.position, template.key`,
    { bind: { business_id, member_id }, type: QueryTypes.SELECT },
  );
}

/** The passages by name. */
export async function passagesOfBusiness({ models }: Database, business_id: string): Promise<Passage[]> {
  const found = await models.passage.findAll({
    attributes: ['name', 'document'],
    where: { business_id },
    order: ['name'],
    raw: true,
  });
  return found as unknown as Passage[];
}

import { QueryTypes } from 'sequelize';
import type { Passage, Template } from '../../core/template/template';
import type { RowOf } from '../column';
import type { Database } from '../database';
import type { TEMPLATE_GROUP } from '../models/template';

/** A template as it stands now. */
export interface KeptTemplate extends Template {
  key: string;
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

/** What a list shows of a template. */
export interface TemplateEntry {
  key: string;
  group_id: string | null;
  name: string;
  startsFrom: string;
}

/** Templates that a member may see: everyone's and their own, without those in the trash. */
const VISIBLE = `template.business_id = $business_id and template.deleted_at is null
  and (template.owner_id is null or template.owner_id = $member_id)`;

/** The templates that a member may see, in their order, without their words. */
export async function templatesOfBusiness(
  { sequelize }: Database,
  business_id: string,
  member_id: string,
): Promise<TemplateEntry[]> {
  return sequelize.query<TemplateEntry>(
    `select key, group_id, name, starts_from as "startsFrom" from template where ${VISIBLE} order by position, key`,
    { bind: { business_id, member_id }, type: QueryTypes.SELECT },
  );
}

/** One template with its words as they stand now. */
export async function templateByKey(
  { sequelize }: Database,
  business_id: string,
  member_id: string,
  key: string,
): Promise<KeptTemplate | undefined> {
  const [found] = await sequelize.query<KeptTemplate>(
    `select template.key, version.version, version.head, version.document
     from template
     join template_version version on version.business_id = template.business_id
       and version.template_id = template.id and version.version = template.current_version
     where ${VISIBLE} and template.key = $key`,
    { bind: { business_id, member_id, key }, type: QueryTypes.SELECT },
  );
  return found;
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

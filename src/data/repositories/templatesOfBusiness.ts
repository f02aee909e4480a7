import { QueryTypes } from 'sequelize';
import type { Passage } from '../../core/template/template';
import type { KeptTemplate } from '../../core/writing/writingDesk';
import type { RowOf } from '../column';
import type { Database } from '../database';
import type { TEMPLATE_GROUP } from '../models/template';

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

const WITH_WORDS = `select template.key, template.group_id, version.version, version.head, version.document
  from template
  join template_version version on version.business_id = template.business_id
    and version.template_id = template.id and version.version = template.current_version`;

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
    `${WITH_WORDS} where ${VISIBLE} and template.key = $key`,
    {
      bind: { business_id, member_id, key },
      type: QueryTypes.SELECT,
    },
  );
  return found;
}

/** All templates that a member may see, with their words, in their order. */
export async function templatesWithWords(
  { sequelize }: Database,
  business_id: string,
  member_id: string,
): Promise<(KeptTemplate & { group_id: string | null })[]> {
  return sequelize.query(`${WITH_WORDS} where ${VISIBLE} order by template.position, template.key`, {
    bind: { business_id, member_id },
    type: QueryTypes.SELECT,
  });
}

/**
 * A template that a member may see as it stood in an earlier version, in the trash or not: a letter may be on its way from
 * it.
 */
export async function templateAtVersion(
  { sequelize }: Database,
  business_id: string,
  member_id: string,
  key: string,
  version: number,
): Promise<(KeptTemplate & { id: string }) | undefined> {
  const [found] = await sequelize.query<KeptTemplate & { id: string }>(
    `select template.id, template.key, version.version, version.head, version.document
     from template
     join template_version version on version.business_id = template.business_id
       and version.template_id = template.id and version.version = $version
     where template.business_id = $business_id and template.key = $key
       and (template.owner_id is null or template.owner_id = $member_id)`,
    { bind: { business_id, member_id, key, version }, type: QueryTypes.SELECT },
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

import { QueryTypes } from 'sequelize';
import { NO_GROUP } from '../../../core/contract/groups';
import { DOCUMENT_SCHEMA } from '../../../core/document/templateDocument';
import type { TemplateWords } from '../../../core/fitting/listedTemplate';
import type { KeptTemplate, Passage } from '../../../core/template/template';
import type { RowOf } from '../../column';
import type { Database } from '../../database';
import { SEEN, VISIBLE } from './visible';
import type { TEMPLATE_GROUP } from '../../models/template';

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

const CURRENT = `from template
  join template_version version on version.business_id = template.business_id
    and version.template_id = template.id and version.version = template.current_version`;

/** A template's group is what it stands in, whatever it was called when its words were kept. */
const WITH_WORDS = `select template.key, version.version, version.document, template.group_id,
    version.head || jsonb_build_object('group', coalesce(place.name, '${NO_GROUP}')) as head,
    to_json(version.kept_at) #>> '{}' as "keptAt"
  ${CURRENT}
  left join template_group place on place.business_id = template.business_id and place.id = template.group_id`;

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

/** The key of the group that a template stands in; null: none. */
export async function groupOfTemplate(
  { sequelize }: Database,
  business_id: string,
  key: string,
): Promise<string | null> {
  const [found] = await sequelize.query<{ key: string }>(
    `select place.key from template join template_group place
       on place.business_id = template.business_id and place.id = template.group_id
     where template.business_id = $business_id and template.key = $key`,
    { bind: { business_id, key }, type: QueryTypes.SELECT },
  );
  return found?.key ?? null;
}

/** A template's version as it stands now: with these, its words never change. */
export interface StandingVersion extends Pick<TemplateWords, 'key' | 'version' | 'keptAt'> {
  group_id: string | null;
  /** how many letters were written from it, and when the last */
  letters: number;
  last_used_at: Date | null;
}

/** The versions of all templates that a member may see, in their order. */
export async function standingVersions(
  { sequelize }: Database,
  business_id: string,
  member_id: string,
): Promise<StandingVersion[]> {
  return sequelize.query(
    `select template.key, version.version, to_json(version.kept_at) #>> '{}' as "keptAt", template.group_id,
       template.letters, template.last_used_at
     ${CURRENT} where ${VISIBLE} order by template.position, template.key`,
    { bind: { business_id, member_id }, type: QueryTypes.SELECT },
  );
}

/** Some templates that a member may see, with their words. */
export async function templatesByKey(
  { sequelize }: Database,
  business_id: string,
  member_id: string,
  keys: readonly string[],
): Promise<TemplateWords[]> {
  return sequelize.query<TemplateWords>(
    `select found.key, found.version, found.head, found.document, found."keptAt"
     from (${WITH_WORDS} where ${VISIBLE} and template.key = any($keys)) found`,
    { bind: { business_id, member_id, keys }, type: QueryTypes.SELECT },
  );
}

/**
 * Names the list of templates that a member may see as it stands now, with its groups, passages and signatures: another one when
 * anything in it changes, or the way in which documents are kept.
 */
export async function editionOfTemplates(
  { sequelize }: Database,
  business_id: string,
  member_id: string,
): Promise<string> {
  const [found] = await sequelize.query<{ edition: string }>(
    `select md5(concat_ws(';', $schema::int, $business_id::uuid, $member_id::uuid,
       (select string_agg(concat_ws(',', template.key, version.version, version.kept_at, template.group_id,
           template.position), ';' order by template.key) ${CURRENT} where ${VISIBLE}),
       (select string_agg(concat_ws(',', id, key, name, initial, tint, position), ';' order by key)
          from template_group where business_id = $business_id),
       (select string_agg(concat_ws(',', key, name, md5(document::text)), ';' order by key)
          from passage where business_id = $business_id),
       (select string_agg(concat_ws(',', key, name, member_id, is_default, md5(document::text)), ';' order by key)
          from signature where business_id = $business_id),
       (select 'shorthand,' || string_agg(concat_ws(',', key, name, group_id, version, md5(document::text)), ';' order by key)
          from shorthand where business_id = $business_id and coalesce(member_id, $member_id) = $member_id),
       (select string_agg(concat_ws(',', part, version), ';' order by part)
          from letterhead where business_id = $business_id),
       (select 'others,' || string_agg(concat_ws(',', template.name, member.full_name), ';' order by template.key)
          from template join member on member.business_id = template.business_id and member.id = owner_id
          where template.business_id = $business_id and owner_id <> $member_id and deleted_at is null),
       (select 'files,' || string_agg(concat_ws(',', name, former_names::text, sha256), ';' order by lower(name))
          from own_file where business_id = $business_id and removed_at is null))) as edition`,
    { bind: { business_id, member_id, schema: DOCUMENT_SCHEMA }, type: QueryTypes.SELECT },
  );
  return found!.edition;
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
     where ${SEEN} and template.key = $key`,
    { bind: { business_id, member_id, key, version }, type: QueryTypes.SELECT },
  );
  return found;
}

/** The passages by name. */
export async function passagesOfBusiness({ models }: Database, business_id: string): Promise<Passage[]> {
  const found = await models.passage.findAll({
    attributes: ['key', 'name', 'document', ['former_names', 'formerly']],
    where: { business_id },
    order: ['name'],
    raw: true,
  });
  return found as unknown as Passage[];
}

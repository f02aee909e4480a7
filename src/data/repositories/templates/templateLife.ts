import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { DOCUMENT_SCHEMA } from '../../../core/document/templateDocument';
import { keyOfName } from '../../../core/template/keyOfName';
import type { OthersTemplate, TemplateUses } from '../../../core/contract/templates';
import type { Template } from '../../../core/template/template';
import type { Database } from '../../database';
import { SEEN, VISIBLE } from './visible';
import { freeKey } from '../freeKey';

interface Whose {
  business_id: string;
  member_id: string;
}

/**
 * Makes a template, the last of its group: with the group's key, or null for none. Gives its key.
 * @throws UniqueConstraintError when another has the name
 */
export async function insertTemplate(
  database: Database,
  { business_id, member_id }: Whose,
  { head, document }: Template,
  group: string | null,
): Promise<string> {
  const { models, sequelize, inTransaction } = database;
  return inTransaction(async () => {
    const key = await freeKey(database, 'template', business_id, keyOfName(head.name, 'template'));
    const id = randomUUID();
    await sequelize.query(
      `insert into template (business_id, id, key, group_id, owner_id, name, starts_from, resting, position, current_version)
       select $business_id::uuid, $id::uuid, $key, place.id, $owner::uuid, $name, $starts_from, $resting,
         coalesce((select max(position) + 1 from template
           where business_id = $business_id and group_id is not distinct from place.id), 0), 1
       from (select (select id from template_group where business_id = $business_id and key = $group) as id) place`,
      {
        bind: {
          business_id,
          id,
          key,
          group,
          owner: head.mine ? member_id : null,
          name: head.name,
          starts_from: head.startsFrom,
          resting: head.resting ?? false,
        },
      },
    );
    await models.template_version.create({
      business_id,
      template_id: id,
      version: 1,
      head,
      document,
      document_schema: DOCUMENT_SCHEMA,
      member_id,
      kept_at: new Date(),
    });
    return key;
  });
}

/** The names that templates have by now, in lower case: a new one has another. */
export async function templateNames(
  { sequelize }: Database,
  business_id: string,
): Promise<ReadonlySet<string>> {
  const rows = await sequelize.query<{ name: string }>(
    'select lower(name) as name from template where business_id = $business_id and deleted_at is null',
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
  return new Set(rows.map(({ name }) => name));
}

/** Puts a template into the trash at a moment, or back. Gives whose it is: undefined, where there was none to put. @throws UniqueConstraintError when another has its name by now */
export async function trashTemplate(
  { sequelize }: Database,
  { business_id, member_id }: Whose,
  key: string,
  away: Date | null,
): Promise<{ owner_id: string | null } | undefined> {
  const [found] = await sequelize.query<{ owner_id: string | null }>(
    `update template set deleted_at = $away::timestamptz
     where ${SEEN} and template.key = $key and (deleted_at is null) = ($away::timestamptz is not null) returning owner_id`,
    { bind: { business_id, member_id, key, away }, type: QueryTypes.SELECT },
  );
  return found;
}

/** A template in the trash. */
export interface TrashedTemplate {
  key: string;
  name: string;
  deleted_at: Date;
}

/** What a member may put back, the last thrown away first. */
export async function trashedTemplates(
  { sequelize }: Database,
  { business_id, member_id }: Whose,
): Promise<TrashedTemplate[]> {
  return sequelize.query<TrashedTemplate>(
    `select key, name, deleted_at from template where ${SEEN} and deleted_at is not null order by deleted_at desc, key limit 200`,
    { bind: { business_id, member_id }, type: QueryTypes.SELECT },
  );
}

/** What the templates are called that are somebody else's own, and whose they are, by name. */
export async function templatesOfOthers(
  { sequelize }: Database,
  { business_id, member_id }: Whose,
): Promise<OthersTemplate[]> {
  return sequelize.query(
    `select template.name, member.full_name as whose from template
     join member on member.business_id = template.business_id and member.id = template.owner_id
     where template.business_id = $business_id and template.deleted_at is null and template.owner_id <> $member_id
     order by template.name limit 1000`,
    { bind: { business_id, member_id }, type: QueryTypes.SELECT },
  );
}

/** What depends on a template. Undefined: there is no such template. */
export async function templateUses(
  { sequelize }: Database,
  { business_id, member_id }: Whose,
  key: string,
): Promise<TemplateUses | undefined> {
  const [found] = await sequelize.query<{
    letters: number;
    waiting: number;
    act: string | null;
    others: string[];
    stays: boolean;
  }>(
    `select
       template.letters,
       (select count(*)::int from message where business_id = $business_id and template_id = template.id
         and status in ('going', 'later', 'held')) as waiting,
       version.head #>> '{action,act}' as act,
       array(select other.name from template other join template_version kept on kept.business_id = other.business_id
           and kept.template_id = other.id and kept.version = other.current_version
         where other.business_id = $business_id and other.deleted_at is null and not other.resting and other.id <> template.id
           and (other.owner_id is null or other.owner_id = $member_id)
           and kept.head #>> '{action,act}' = version.head #>> '{action,act}'
         order by other.name) as others,
       exists (select from template_version came where came.business_id = $business_id and came.template_id = template.id
         and came.member_id is null and jsonb_exists_any(came.head || version.head, array['action'])) as stays
     from template join template_version version on version.business_id = template.business_id
       and version.template_id = template.id and version.version = template.current_version
     where ${VISIBLE} and template.key = $key`,
    { bind: { business_id, member_id, key }, type: QueryTypes.SELECT },
  );
  if (!found) return undefined;
  const { letters, waiting, act, others, stays } = found;
  return { letters, waiting, stays, ...(act === null ? {} : { act: { name: act, others } }) };
}

import { QueryTypes } from 'sequelize';
import { DOCUMENT_SCHEMA } from '../../../core/document/templateDocument';
import type { KeepAnswer } from '../../../core/contract/templateWords';
import type { Template } from '../../../core/template/template';
import type { Database } from '../../database';
import { VISIBLE } from './visible';

/** What came of keeping a version: its number; or who kept another one meanwhile. */
type Keeping = Exclude<KeepAnswer<Date>, { result: 'wrong' }>;

interface Standing {
  id: string;
  owner_id: string | null;
  version: number;
  by: string | null;
  at: Date;
}

/**
 * Keeps a template's words as its next version, unless somebody else has kept one since `version`.
 * @throws UniqueConstraintError when another template has the name
 */
export async function keepVersion(
  { sequelize, models, inTransaction }: Database,
  { business_id, member_id }: { business_id: string; member_id: string },
  key: string,
  version: number,
  { head, document }: Template,
): Promise<Keeping> {
  return inTransaction(async () => {
    const [standing] = await sequelize.query<Standing>(
      `select template.id, template.owner_id, template.current_version as version, member.full_name as by, kept.kept_at as at
       from template
       join template_version kept on kept.business_id = template.business_id and kept.template_id = template.id
         and kept.version = template.current_version
       left join member on member.business_id = kept.business_id and member.id = kept.member_id
       where ${VISIBLE} and template.key = $key
       for update of template`,
      { bind: { business_id, member_id, key }, type: QueryTypes.SELECT },
    );
    if (!standing) return { result: 'gone' };
    const { id, by, at } = standing;
    if (standing.version !== version) return { result: 'overtaken', version: standing.version, by, at };
    // A template of everyone's is nobody's to take away from the others.
    if (head.mine && standing.owner_id === null) return { result: 'refused' };
    const next = version + 1;
    await models.template_version.create({
      business_id,
      template_id: id,
      version: next,
      head,
      document,
      document_schema: DOCUMENT_SCHEMA,
      member_id,
      kept_at: new Date(),
    });
    await sequelize.query(
      `update template set current_version = $next, name = $name, starts_from = $starts_from, resting = $resting,
         owner_id = case when $mine then $member_id::uuid end,
         group_id = (select id from template_group
           where business_id = $business_id and (lower(template_group.name) = lower($group)
             or lower($group) = any(lower(former_names::text)::text[]))
           order by lower(template_group.name) = lower($group) desc limit 1)
       where business_id = $business_id and id = $id`,
      {
        bind: {
          business_id,
          member_id,
          id,
          next,
          name: head.name,
          group: head.group,
          starts_from: head.startsFrom,
          resting: head.resting ?? false,
          mine: head.mine ?? false,
        },
      },
    );
    await sequelize.query(
      'delete from template_draft where business_id = $business_id and template_id = $id and member_id = $member_id',
      { bind: { business_id, id, member_id } },
    );
    return { result: 'kept', version: next };
  });
}

interface Version {
  version: number;
  by: string | null;
  kept_at: Date;
}

/** The versions of a template that a member may see, the last first. */
export async function versionsOf(
  { sequelize }: Database,
  { business_id, member_id }: { business_id: string; member_id: string },
  key: string,
): Promise<Version[]> {
  return sequelize.query<Version>(
    `select version.version, member.full_name as by, version.kept_at
     from template
     join template_version version on version.business_id = template.business_id and version.template_id = template.id
     left join member on member.business_id = version.business_id and member.id = version.member_id
     where ${VISIBLE} and template.key = $key
     order by version.version desc limit 500`,
    { bind: { business_id, member_id, key }, type: QueryTypes.SELECT },
  );
}

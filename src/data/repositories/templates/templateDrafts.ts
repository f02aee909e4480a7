import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';
import { VISIBLE } from './visible';

interface Whose {
  business_id: string;
  member_id: string;
}

/** What a member is writing of a template's next version. */
export interface TemplateDraft {
  member_id: string;
  by: string;
  version: number;
  text: string;
  kept_at: Date;
}

/** The drafts of a template that a member may see, the last one first. */
export async function draftsOfTemplate(
  { sequelize }: Database,
  { business_id, member_id }: Whose,
  key: string,
): Promise<TemplateDraft[]> {
  return sequelize.query(
    `select draft.member_id, member.full_name as by, draft.version, draft.text, draft.kept_at
     from template
     join template_draft draft on draft.business_id = template.business_id and draft.template_id = template.id
     join member on member.business_id = draft.business_id and member.id = draft.member_id
     where ${VISIBLE} and template.key = $key order by draft.kept_at desc`,
    { bind: { business_id, member_id, key }, type: QueryTypes.SELECT },
  );
}

/** Keeps a member's draft at a moment, or throws it away where there is no text. Gives whether there is such a template. */
export async function keepDraft(
  { sequelize }: Database,
  { business_id, member_id }: Whose,
  key: string,
  { version, text, at }: { version: number; text: string | null; at: Date },
): Promise<boolean> {
  const found = await sequelize.query(
    `with there as (select template.business_id, template.id from template where ${VISIBLE} and template.key = $key),
       gone as (delete from template_draft using there
         where template_draft.business_id = there.business_id and template_draft.template_id = there.id
           and template_draft.member_id = $member_id and $text::text is null),
       kept as (insert into template_draft (business_id, template_id, member_id, version, text, kept_at)
         select business_id, id, $member_id::uuid, $version::int, $text::text, $at::timestamptz from there where $text::text is not null
         on conflict (business_id, template_id, member_id)
         do update set version = excluded.version, text = excluded.text, kept_at = excluded.kept_at)
     select 1 from there`,
    { bind: { business_id, member_id, key, version, text, at }, type: QueryTypes.SELECT },
  );
  return found.length > 0;
}

/** Which templates a member may see are being reworded, and by whom. */
export async function templatesInDraft(
  { sequelize }: Database,
  { business_id, member_id }: Whose,
): Promise<{ key: string; by: string; own: boolean }[]> {
  return sequelize.query(
    `select template.key, member.full_name as by, draft.member_id = $member_id as own
     from template_draft draft
     join template on template.business_id = draft.business_id and template.id = draft.template_id
     join member on member.business_id = draft.business_id and member.id = draft.member_id
     where draft.business_id = $business_id and ${VISIBLE} order by draft.kept_at desc`,
    { bind: { business_id, member_id }, type: QueryTypes.SELECT },
  );
}

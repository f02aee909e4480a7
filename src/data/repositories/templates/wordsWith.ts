import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

/** Words of a business that letters are made of. */
export interface Words {
  kind: 'template' | 'passage' | 'signature' | 'letterhead';
  name: string;
  /** what they are, as JSON: a document, and of a template its head */
  content: unknown;
}

/** All words of a business, as they stand, that have a text somewhere in them: whoever's they are. */
export async function wordsWith(
  { sequelize }: Database,
  business_id: string,
  text: string,
): Promise<Words[]> {
  return sequelize.query<Words>(
    `select * from (
       select 'template' as kind, template.name, jsonb_build_array(version.head, version.document) as content
         from template join template_version version on version.business_id = template.business_id
           and version.template_id = template.id and version.version = template.current_version
         where template.business_id = $business_id and template.deleted_at is null
       union all select 'passage', name, document from passage where business_id = $business_id
       union all select 'signature', name, document from signature where business_id = $business_id
       union all select 'letterhead', part, document from letterhead where business_id = $business_id) words
     where content::text like '%' || replace(replace($text, '\\', '\\\\'), '_', '\\_') || '%' order by kind desc, name`,
    { bind: { business_id, text }, type: QueryTypes.SELECT },
  );
}

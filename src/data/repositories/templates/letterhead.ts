import { QueryTypes } from 'sequelize';
import { DOCUMENT_SCHEMA, type TemplateDocument } from '../../../core/document/templateDocument';
import type { LetterheadPart } from '../../../core/template/template';
import type { Database } from '../../database';
import type { Changed } from './groups';

/** A part of it with its version; one that was never written has version 1 and no words. */
export async function letterheadPart(
  { sequelize }: Database,
  business_id: string,
  part: LetterheadPart,
): Promise<{ version: number; document: TemplateDocument }> {
  const [found] = await sequelize.query<{ version: number; document: TemplateDocument }>(
    'select version, document from letterhead where business_id = $business_id and part = $part',
    { bind: { business_id, part }, type: QueryTypes.SELECT },
  );
  return found ?? { version: 1, document: { type: 'doc', content: [] } };
}

/** Changes a part of it, unless somebody has since `version`. */
export async function updateLetterhead(
  { sequelize }: Database,
  business_id: string,
  part: LetterheadPart,
  version: number,
  document: TemplateDocument,
): Promise<Changed> {
  const found = await sequelize.query(
    `insert into letterhead (business_id, part, document, document_schema, version)
     select $business_id::uuid, $part, $document::jsonb, $schema::smallint, 2
     where $version::int = 1 or exists (select from letterhead where business_id = $business_id::uuid and part = $part)
     on conflict (business_id, part) do update
       set document = excluded.document, document_schema = excluded.document_schema, version = letterhead.version + 1
       where letterhead.version = $version
     returning version`,
    {
      bind: { business_id, part, version, document: JSON.stringify(document), schema: DOCUMENT_SCHEMA },
      type: QueryTypes.SELECT,
    },
  );
  return found.length > 0 ? 'done' : 'overtaken';
}

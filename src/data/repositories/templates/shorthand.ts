import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { DOCUMENT_SCHEMA, type TemplateDocument } from '../../../core/document/templateDocument';
import { keyOfName } from '../../../core/template/keyOfName';
import type { Database } from '../../database';
import { freeKey } from '../freeKey';
import type { Changed } from './groups';

/** A shorthand with whose it is, and its group. */
export interface OwnedShorthand {
  key: string;
  /** the characters */
  name: string;
  /** null: the house's */
  member_id: string | null;
  /** the group it stands in: its key and its name; null: none */
  group: string | null;
  group_name: string | null;
  version: number;
  document: TemplateDocument;
}

interface Whose {
  business_id: string;
  member_id: string;
}

/** The house's and a member's own, by their characters. */
export async function shorthandOf(
  { sequelize }: Database,
  { business_id, member_id }: Whose,
): Promise<OwnedShorthand[]> {
  return sequelize.query(
    `select shorthand.key, shorthand.name, shorthand.member_id, place.key as group, place.name as group_name,
       shorthand.version, shorthand.document
     from shorthand left join template_group place
       on place.business_id = shorthand.business_id and place.id = shorthand.group_id
     where shorthand.business_id = $business_id and coalesce(shorthand.member_id, $member_id) = $member_id
     order by lower(shorthand.name), shorthand.member_id is null`,
    { bind: { business_id, member_id }, type: QueryTypes.SELECT },
  );
}

/** Makes one. Gives its key. @param member_id whose: null, the house's @throws UniqueConstraintError when there is one with these characters */
export async function insertShorthand(
  database: Database,
  business_id: string,
  member_id: string | null,
  name: string,
  document: TemplateDocument,
): Promise<string> {
  const key = await freeKey(database, 'shorthand', business_id, keyOfName(name, 'shorthand'));
  await database.models.shorthand.create({
    business_id,
    id: randomUUID(),
    key,
    member_id,
    name,
    document,
    document_schema: DOCUMENT_SCHEMA,
  });
  return key;
}

/** Changes one, unless somebody has since `version`. @throws UniqueConstraintError when there is another with these characters */
export async function updateShorthand(
  { sequelize }: Database,
  business_id: string,
  key: string,
  change: { version: number; name: string; group: string | null; document: TemplateDocument },
): Promise<Changed> {
  const { version, name, group, document } = change;
  const found = await sequelize.query<{ done: boolean }>(
    `with changed as (
       update shorthand set name = $name, document = $document::jsonb, document_schema = $schema,
         group_id = (select id from template_group where business_id = $business_id and key = $group),
         version = version + 1
       where business_id = $business_id and key = $key and version = $version returning 1)
     select exists (select from changed) as done from shorthand where business_id = $business_id and key = $key`,
    {
      bind: {
        business_id,
        key,
        version,
        name,
        group,
        document: JSON.stringify(document),
        schema: DOCUMENT_SCHEMA,
      },
      type: QueryTypes.SELECT,
    },
  );
  return found.length === 0 ? 'gone' : found[0]!.done ? 'done' : 'overtaken';
}

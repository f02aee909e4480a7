import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { DOCUMENT_SCHEMA, type TemplateDocument } from '../../../core/document/templateDocument';
import { keyOfName } from '../../../core/template/keyOfName';
import type { Passage, TemplateHead } from '../../../core/template/template';
import type { Database } from '../../database';
import { freeKey } from '../freeKey';
import type { Changed } from './groups';

/** Whether a document, or a head, has a passage in it. Two dollars are one to the database. */
const HAS = (document: string, key: string) =>
  `jsonb_path_exists(${document}, '$.** ? (@.type == "passage" && @.attrs.passage == $$wanted)', jsonb_build_object('wanted', ${key}))`;

const STANDING = `template join template_version version on version.business_id = template.business_id
  and version.template_id = template.id and version.version = template.current_version`;

/** What the passages are called, by name. */
export async function namesOfPassages(
  { sequelize }: Database,
  business_id: string,
): Promise<{ key: string; name: string }[]> {
  return sequelize.query('select key, name from passage where business_id = $business_id order by name', {
    bind: { business_id },
    type: QueryTypes.SELECT,
  });
}

/** A passage with its version. */
export async function passageByKey(
  { sequelize }: Database,
  business_id: string,
  key: string,
): Promise<(Passage & { version: number; group: string | null }) | undefined> {
  const [found] = await sequelize.query<Passage & { version: number; group: string | null }>(
    `select passage.key, passage.name, document, passage.version, place.key as group
     from passage left join template_group place on place.business_id = passage.business_id and place.id = passage.group_id
     where passage.business_id = $business_id and passage.key = $key`,
    { bind: { business_id, key }, type: QueryTypes.SELECT },
  );
  return found;
}

/** A template that has a passage in it. */
export interface TemplateWithPassage {
  key: string;
  name: string;
  owner_id: string | null;
  head: TemplateHead;
  document: TemplateDocument;
}

/** The templates as they stand that have a passage in them, everybody's, by name. */
export async function templatesWithPassage(
  { sequelize }: Database,
  business_id: string,
  key: string,
): Promise<TemplateWithPassage[]> {
  return sequelize.query(
    `select template.key, template.name, template.owner_id, version.head, version.document from ${STANDING}
     where template.business_id = $business_id and template.deleted_at is null
       and (${HAS('version.document', '$key::text')} or ${HAS('version.head', '$key::text')})
     order by template.name`,
    { bind: { business_id, key }, type: QueryTypes.SELECT },
  );
}

/** The passages that have another in them, by name. */
export async function passagesWithPassage(
  { sequelize }: Database,
  business_id: string,
  key: string,
): Promise<{ key: string; name: string }[]> {
  return sequelize.query(
    `select passage.key, passage.name from passage
     where business_id = $business_id and ${HAS('document', '$key::text')} order by name`,
    { bind: { business_id, key }, type: QueryTypes.SELECT },
  );
}

/** How many templates each passage stands in, and in which group it stands itself, by its key. */
export async function usesOfPassages(
  { sequelize }: Database,
  business_id: string,
): Promise<ReadonlyMap<string, { uses: number; group: string | null }>> {
  const rows = await sequelize.query<{ key: string; uses: number; group: string | null }>(
    `select passage.key, (select key from template_group place
         where place.business_id = passage.business_id and place.id = passage.group_id) as group, (select count(*)::int from ${STANDING}
       where template.business_id = $business_id and template.deleted_at is null
         and (${HAS('version.document', 'passage.key::text')} or ${HAS('version.head', 'passage.key::text')})) as uses
     from passage where passage.business_id = $business_id`,
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
  return new Map(rows.map(({ key, ...one }) => [key, one]));
}

/** Makes a passage. Gives its key. @throws UniqueConstraintError when another has the name */
export async function insertPassage(
  database: Database,
  business_id: string,
  name: string,
  document: TemplateDocument,
): Promise<string> {
  const key = await freeKey(database, 'passage', business_id, keyOfName(name, 'passage'));
  await database.models.passage.create({
    business_id,
    id: randomUUID(),
    key,
    name,
    document,
    document_schema: DOCUMENT_SCHEMA,
  });
  return key;
}

/** Changes a passage, unless somebody has since `version`. @throws UniqueConstraintError when another has the name */
export async function updatePassage(
  { sequelize }: Database,
  business_id: string,
  key: string,
  next: { version: number; name: string; document: TemplateDocument; group: string | null },
): Promise<Changed> {
  const { version, name, document, group } = next;
  const found = await sequelize.query<{ done: boolean }>(
    `with changed as (
       update passage set name = $name, document = $document::jsonb, document_schema = $schema, version = version + 1,
         group_id = (select id from template_group where business_id = $business_id and key = $group)
       where business_id = $business_id and key = $key and version = $version returning 1)
     select exists (select from changed) as done from passage where business_id = $business_id and key = $key`,
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

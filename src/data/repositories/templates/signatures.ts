import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { DOCUMENT_SCHEMA, type TemplateDocument } from '../../../core/document/templateDocument';
import { keyOfName } from '../../../core/template/keyOfName';
import type { Database } from '../../database';
import { freeKey } from '../freeKey';
import type { Changed } from './groups';

/** A signature with whose it is. */
export interface OwnedSignature {
  key: string;
  name: string;
  /** null: the house's */
  member_id: string | null;
  whose: string | null;
  usual: boolean;
  version: number;
  document: TemplateDocument;
}

/** A template that asks for a signature by name. */
export interface TemplateSignedSo {
  signature: string;
  key: string;
  name: string;
  owner_id: string | null;
}

/** All signatures of a business: the house's first, then by whose they are and by name. */
export async function ownedSignatures(
  { sequelize }: Database,
  business_id: string,
): Promise<OwnedSignature[]> {
  return sequelize.query(
    `select signature.key, signature.name, signature.member_id, member.full_name as whose, is_default as usual,
       signature.version, document
     from signature left join member on member.business_id = signature.business_id and member.id = signature.member_id
     where signature.business_id = $business_id
     order by signature.member_id is not null, member.full_name, signature.name`,
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
}

/** The templates as they stand that ask for a signature by name, everybody's, by name. */
export async function templatesSignedSo(
  { sequelize }: Database,
  business_id: string,
): Promise<TemplateSignedSo[]> {
  return sequelize.query(
    `select version.head ->> 'signature' as signature, template.key, template.name, template.owner_id
     from template join template_version version on version.business_id = template.business_id
       and version.template_id = template.id and version.version = template.current_version
     where template.business_id = $business_id and template.deleted_at is null
       and version.head ->> 'signature' is not null
     order by template.name`,
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
}

/**
 * Makes a signature, the usual one where there is none yet. Gives its key.
 * @param member_id whose: null, the house's
 * @throws UniqueConstraintError when another has the name
 */
export async function insertSignature(
  database: Database,
  business_id: string,
  member_id: string | null,
  name: string,
  document: TemplateDocument,
): Promise<string> {
  const key = await freeKey(database, 'signature', business_id, keyOfName(name, 'signature'));
  await database.sequelize.query(
    `insert into signature (business_id, id, key, member_id, name, document, document_schema, is_default)
     select $business_id::uuid, $id::uuid, $key, $member_id::uuid, $name, $document::jsonb, $schema::smallint,
       not exists (select from signature where business_id = $business_id::uuid and is_default
         and member_id is not distinct from $member_id::uuid)`,
    {
      bind: {
        business_id,
        id: randomUUID(),
        key,
        member_id,
        name,
        document: JSON.stringify(document),
        schema: DOCUMENT_SCHEMA,
      },
    },
  );
  return key;
}

/**
 * Changes a signature, unless somebody has since `version`; where it is the usual one now, no other of the same person is.
 * @throws UniqueConstraintError when another has the name
 */
export async function updateSignature(
  { sequelize }: Database,
  business_id: string,
  key: string,
  change: { version: number; name: string; usual: boolean; document: TemplateDocument },
): Promise<Changed> {
  const { version, name, usual, document } = change;
  const [now] = await sequelize.query<{ version: number; member_id: string | null }>(
    'select version, member_id from signature where business_id = $business_id and key = $key for update',
    { bind: { business_id, key }, type: QueryTypes.SELECT },
  );
  if (!now) return 'gone';
  if (now.version !== version) return 'overtaken';
  if (usual)
    await sequelize.query(
      `update signature set is_default = false
       where business_id = $business_id and member_id is not distinct from $member_id::uuid and key <> $key and is_default`,
      { bind: { business_id, member_id: now.member_id, key } },
    );
  await sequelize.query(
    `update signature set name = $name, document = $document::jsonb, document_schema = $schema, is_default = $usual,
       version = version + 1
     where business_id = $business_id and key = $key`,
    {
      bind: { business_id, key, name, usual, document: JSON.stringify(document), schema: DOCUMENT_SCHEMA },
    },
  );
  return 'done';
}

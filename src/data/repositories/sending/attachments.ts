import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

interface OfLetter {
  business_id: string;
  id: string;
}

/** A file that goes along with a letter: its content is kept by its SHA-256. */
export interface Attached {
  name: string;
  sha256: string;
}

/** Has files go along with a letter, in their order. */
export async function attach(
  { models }: Database,
  { business_id, id: message_id }: OfLetter,
  files: readonly Attached[],
): Promise<void> {
  await models.attachment.bulkCreate(
    files.map((file, at) => ({ business_id, message_id, position: at + 1, ...file })),
  );
}

/** What is asked for to go along with a letter. */
export interface Wanted {
  /** names of the business's own, as they are called now */
  named: readonly string[];
  /** ids of what was added, by where it comes from; a record's file is of the letter's client */
  own: readonly string[];
  record: readonly string[];
  letter: readonly string[];
  client_id: string | null;
}

/** The files that are asked for, as they are now, by their name in lower case or their id; those that are not there are left out. */
export async function filesWanted(
  { sequelize }: Database,
  business_id: string,
  { named, own, record, letter, client_id }: Wanted,
): Promise<Map<string, Attached & { size: number }>> {
  if (named.length + own.length + record.length + letter.length === 0) return new Map();
  const found = await sequelize.query<Attached & { wanted: string; size: number }>(
    `select lower(name) as wanted, name, sha256, size from own_file
       where business_id = $business_id and removed_at is null and lower(name) = any ($named::text[])
     union all select id::text, name, sha256, size from own_file
       where business_id = $business_id and removed_at is null and id = any ($own::uuid[])
     union all select id::text, name, sha256, size from record_file
       where business_id = $business_id and removed_at is null and id = any ($record::uuid[]) and client_id = $client_id
     union all select id::text, name, sha256, size from letter_file
       where business_id = $business_id and id = any ($letter::uuid[])`,
    {
      bind: { business_id, named: named.map((one) => one.toLowerCase()), own, record, letter, client_id },
      type: QueryTypes.SELECT,
    },
  );
  return new Map(found.map(({ wanted, ...file }) => [wanted, file]));
}

/** What goes along with a letter. @param position one of them alone */
export async function attachmentsOf(
  { sequelize }: Database,
  { business_id, id }: OfLetter,
  position?: number,
): Promise<{ name: string; content: Buffer }[]> {
  return sequelize.query(
    `select name, content from attachment
     join file on file.business_id = attachment.business_id and file.sha256 = attachment.sha256
     where attachment.business_id = $business_id and message_id = $id
       and ($position::integer is null or position = $position) order by position`,
    { bind: { business_id, id, position: position ?? null }, type: QueryTypes.SELECT },
  );
}

/** What some files hold, in their order. */
export async function contentsOf(
  { sequelize }: Database,
  business_id: string,
  files: readonly Attached[],
): Promise<{ name: string; content: Buffer }[]> {
  if (files.length === 0) return [];
  const found = await sequelize.query<{ sha256: string; content: Buffer }>(
    'select sha256, content from file where business_id = $business_id and sha256 = any ($sums::text[])',
    { bind: { business_id, sums: files.map(({ sha256 }) => sha256) }, type: QueryTypes.SELECT },
  );
  const contents = new Map(found.map(({ sha256, content }) => [sha256, content]));
  return files.map(({ name, sha256 }) => ({ name, content: contents.get(sha256)! }));
}

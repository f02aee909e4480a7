import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';
import { keepReady, type ReadyFile } from './files';

interface OfMember {
  business_id: string;
  /** the member's */
  id: string;
}

/** Keeps a file for a letter that a member writes; the same one again is the one that is there. Gives its id. */
export async function keepLetterFile(
  database: Database,
  { business_id, id: member_id }: OfMember,
  { name, at, ...ready }: ReadyFile & { name: string; at: Date },
): Promise<string> {
  const { sequelize, inTransaction } = database;
  const { file, preview } = ready;
  return inTransaction(async () => {
    await keepReady(database, business_id, ready);
    const [kept] = await sequelize.query<{ id: string }>(
      `insert into letter_file (business_id, id, member_id, name, sha256, size, preview, brought_at)
       values ($business_id, $id, $member_id, $name, $sha256, $size, $preview, $at)
       on conflict (business_id, member_id, sha256, name) do update set brought_at = excluded.brought_at returning id`,
      {
        bind: {
          business_id,
          id: randomUUID(),
          member_id,
          name,
          sha256: file.sha256,
          size: file.content.length,
          preview: preview?.sha256 ?? null,
          at,
        },
        type: QueryTypes.SELECT,
      },
    );
    return kept!.id;
  });
}

/** What a file that was brought in for a letter holds. Undefined: there is none of that id. */
export async function contentOfLetterFile(
  { sequelize }: Database,
  business_id: string,
  id: string,
): Promise<{ name: string; content: Buffer } | undefined> {
  const [found] = await sequelize.query<{ name: string; content: Buffer }>(
    `select name, content from letter_file join file using (business_id, sha256)
     where business_id = $business_id and id = $id`,
    { bind: { business_id, id }, type: QueryTypes.SELECT },
  );
  return found;
}

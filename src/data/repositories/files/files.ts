import type { Database } from '../../database';

/** A file by its content. */
export interface KeptFile {
  sha256: string;
  media_type: string;
  content: Buffer;
  /** whether it stands in the words of letters or templates, which alone know of it */
  in_words?: boolean;
}

/** A file with a small picture of it, where it is one. */
export interface ReadyFile {
  file: KeptFile;
  preview?: KeptFile;
}

/** Keeps a file with its small picture. */
export async function keepReady(
  database: Database,
  business_id: string,
  { file, preview }: ReadyFile,
): Promise<void> {
  await keepFile(database, business_id, file);
  if (preview) await keepFile(database, business_id, preview);
}

/** Keeps a file of a business; one that it has already stays as it is, but for what is known of it by now. */
export async function keepFile(
  { sequelize }: Database,
  business_id: string,
  { sha256, media_type, content, in_words = false }: KeptFile,
): Promise<void> {
  await sequelize.query(
    `insert into file (business_id, sha256, media_type, size, content, in_words)
     values ($business_id, $sha256, $media_type, $size, $content, $in_words)
     on conflict (business_id, sha256) do update set in_words = file.in_words or excluded.in_words, media_type = excluded.media_type
       where excluded.in_words and not file.in_words or file.media_type = 'application/octet-stream'`,
    { bind: { business_id, sha256, media_type, size: content.length, content, in_words } },
  );
}

/** How many bytes of its room a business has used. */
export async function roomUsed({ models }: Database, business_id: string): Promise<number> {
  const found = (await models.file_room.findOne({
    attributes: ['used'],
    where: { business_id },
    raw: true,
  })) as unknown as { used: number } | null;
  return found?.used ?? 0;
}

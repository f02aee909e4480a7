import type { Database } from '../database';

/** A file by its content. */
export interface KeptFile {
  sha256: string;
  media_type: string;
  content: Buffer;
}

/** Keeps a file of a business; one that it has already stays as it is. */
export async function keepFile(
  { sequelize }: Database,
  business_id: string,
  { sha256, media_type, content }: KeptFile,
): Promise<void> {
  await sequelize.query(
    `insert into file (business_id, sha256, media_type, size, content)
     values ($business_id, $sha256, $media_type, $size, $content) on conflict do nothing`,
    { bind: { business_id, sha256, media_type, size: content.length, content } },
  );
}

import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

export interface Picture {
  type: string;
  content: Buffer;
}

/** Pictures of a business by their SHA-256; those that are not there are left out. */
export async function picturesOfBusiness(
  { sequelize }: Database,
  business_id: string,
  sources: readonly string[],
): Promise<Map<string, Picture>> {
  if (!sources.length) return new Map();
  const found = await sequelize.query<Picture & { sha256: string }>(
    `select sha256, media_type as type, content from file
     where business_id = $business_id and sha256 = any($sources) and media_type like 'image/%'`,
    { bind: { business_id, sources }, type: QueryTypes.SELECT },
  );
  return new Map(found.map(({ sha256, ...picture }) => [sha256, picture]));
}

/** Which pictures of some a business has, by their SHA-256. */
export async function picturesThere(
  { sequelize }: Database,
  business_id: string,
  sources: readonly string[],
): Promise<string[]> {
  if (!sources.length) return [];
  const found = await sequelize.query<{ sha256: string }>(
    `select sha256 from file
     where business_id = $business_id and sha256 = any($sources) and media_type like 'image/%'`,
    { bind: { business_id, sources }, type: QueryTypes.SELECT },
  );
  return found.map(({ sha256 }) => sha256);
}

/** Whether a business has a picture, by its SHA-256. */
export async function isPictureHere(
  database: Database,
  business_id: string,
  sha256: string,
): Promise<boolean> {
  return (await picturesThere(database, business_id, [sha256])).length > 0;
}

import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { OwnFile } from '../../../core/contract/files';
import type { Database } from '../../database';
import { keepReady, type ReadyFile } from './files';
import { dropUnnamed } from './sweepRemoved';

/** A file of the business's own as it is kept. */
export interface KeptOwnFile extends OwnFile {
  id: string;
  sha256: string;
  /** of a picture, a small one by its SHA-256 */
  preview: string | null;
  brought_at: Date;
  former_names?: string[];
}

const FROM = 'from own_file where business_id = $business_id and removed_at is null';

/** A file by its name, whatever its case. */
export async function ownFileCalled(
  { sequelize }: Database,
  business_id: string,
  name: string,
): Promise<KeptOwnFile | undefined> {
  const [found] = await sequelize.query<KeptOwnFile>(
    `select id, name, sha256, size, preview, brought_at ${FROM} and lower(name) = lower($name)`,
    { bind: { business_id, name }, type: QueryTypes.SELECT },
  );
  return found;
}

/** What a file by its name holds. */
export async function contentOfOwnFile(
  { sequelize }: Database,
  business_id: string,
  name: string,
): Promise<{ name: string; content: Buffer } | undefined> {
  const [found] = await sequelize.query<{ name: string; content: Buffer }>(
    `select name, content from own_file join file using (business_id, sha256)
     where business_id = $business_id and lower(name) = lower($name) and removed_at is null`,
    { bind: { business_id, name }, type: QueryTypes.SELECT },
  );
  return found;
}

/**
 * Keeps a file under a name that none has.
 * @param most how many there may be
 * @returns whether there was room for it
 * @throws UniqueConstraintError when another has the name
 */
export async function insertOwnFile(
  database: Database,
  business_id: string,
  { name, at }: { name: string; at: Date },
  ready: ReadyFile,
  most: number,
): Promise<boolean> {
  const { sequelize, inTransaction } = database;
  return inTransaction(async () => {
    const { file, preview } = ready;
    await keepReady(database, business_id, ready);
    const added = await sequelize.query(
      `insert into own_file (business_id, id, name, sha256, size, preview, brought_at)
       select $business_id, $id, $name, $sha256, $size, $preview, $at
       where (select count(*) ${FROM}) < $most returning id`,
      {
        bind: {
          business_id,
          id: randomUUID(),
          name,
          sha256: file.sha256,
          size: file.content.length,
          preview: preview?.sha256 ?? null,
          at,
          most,
        },
        type: QueryTypes.SELECT,
      },
    );
    return added.length > 0;
  });
}

/** Puts another file in the place of one. @returns whether it still was the one that is told */
export async function replaceOwnFile(
  database: Database,
  business_id: string,
  { id, sha256, preview: before }: Pick<KeptOwnFile, 'id' | 'sha256' | 'preview'>,
  ready: ReadyFile,
  at: Date,
): Promise<boolean> {
  const { sequelize, inTransaction } = database;
  return inTransaction(async () => {
    const { file, preview } = ready;
    await keepReady(database, business_id, ready);
    const changed = await sequelize.query(
      `update own_file set sha256 = $next, size = $size, preview = $preview, brought_at = $at
       where business_id = $business_id and id = $id and sha256 = $sha256 and removed_at is null returning id`,
      {
        bind: {
          business_id,
          id,
          sha256,
          next: file.sha256,
          size: file.content.length,
          preview: preview?.sha256 ?? null,
          at,
        },
        type: QueryTypes.SELECT,
      },
    );
    if (changed.length === 0) return false;
    await dropUnnamed(
      database,
      [sha256, before].map((one) => ({ business_id, sha256: one })),
    );
    return true;
  });
}

/** The files of the business's own, by their names. */
export async function ownFilesOf({ sequelize }: Database, business_id: string): Promise<KeptOwnFile[]> {
  return sequelize.query<KeptOwnFile>(
    `select id, name, sha256, size, preview, brought_at, former_names ${FROM} order by lower(name)`,
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
}

/**
 * Calls a file something else; it is found by what it was called, too. Gives its name; undefined: it is not there.
 * @throws UniqueConstraintError when another has the name
 */
export async function renameOwnFile(
  { sequelize, inTransaction }: Database,
  business_id: string,
  id: string,
  name: string,
): Promise<string | undefined> {
  const query = () =>
    sequelize.query<{ name: string }>(
      `update own_file set name = $name, former_names =
       array(select distinct one from unnest(former_names || name) one where lower(one) <> lower($name))
     where business_id = $business_id and id = $id and removed_at is null returning name`,
      { bind: { business_id, id, name }, type: QueryTypes.SELECT },
    );
  // Where another has the name, what else is done with this goes on.
  const [renamed] = await inTransaction(query);
  return renamed?.name;
}

/**
 * Takes a file out, or puts it back. Gives its name; undefined: it is not there.
 * @throws UniqueConstraintError when another has its name by now
 */
export async function setOwnFileRemoved(
  { sequelize, inTransaction }: Database,
  business_id: string,
  id: string,
  at: Date | null,
): Promise<string | undefined> {
  const query = () =>
    sequelize.query<{ name: string }>(
      'update own_file set removed_at = $at where business_id = $business_id and id = $id returning name',
      { bind: { business_id, id, at }, type: QueryTypes.SELECT },
    );
  const [changed] = await inTransaction(query);
  return changed?.name;
}

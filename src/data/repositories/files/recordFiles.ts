import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { FileOwner } from '../../../core/contract/recordFiles';
import type { Database } from '../../database';
import { keepReady, type ReadyFile } from './files';

/** A file of a record as it is kept. */
export interface KeptRecordFile {
  id: string;
  name: string;
  sha256: string;
  size: number;
  preview: string | null;
  brought_at: Date;
}

/** A record that has files: its client, and the column that names it where it is not the client itself. */
export interface PlaceOfFiles {
  client_id: string;
  column?: 'project_id' | 'booking_id' | 'item_id';
  id: string;
}

const COLUMNS = 'id, name, sha256, size, preview, brought_at';

/** Where a record's files are kept. Undefined: there is no such record. */
export async function placeOfFiles(
  { sequelize }: Database,
  business_id: string,
  { kind, key, client = '' }: FileOwner,
): Promise<PlaceOfFiles | undefined> {
  const query =
    kind === 'client'
      ? 'select id, id as client_id from client where business_id = $business_id and key = $key'
      : `select ${kind}.id, client.id as client_id from ${kind}
         join client on client.business_id = ${kind}.business_id and client.id = ${kind}.client_id
         where ${kind}.business_id = $business_id and ${kind}.key = $key ${kind === 'item' ? 'and client.key = $client' : ''}`;
  const bind = { business_id, key, ...(kind === 'item' ? { client } : {}) };
  const [found] = await sequelize.query<{ id: string; client_id: string }>(query, {
    bind,
    type: QueryTypes.SELECT,
  });
  return found && (kind === 'client' ? found : { ...found, column: `${kind}_id` });
}

/** The files that are a record's own, not those of what hangs on it. */
function ofPlace({ column }: PlaceOfFiles): string {
  const own =
    column === undefined ? 'num_nonnulls(project_id, booking_id, item_id) = 0' : `${column} = $place`;
  return `business_id = $business_id and client_id = $client_id and ${own} and removed_at is null`;
}

function bindOf(business_id: string, { client_id, column, id }: PlaceOfFiles) {
  return { business_id, client_id, ...(column === undefined ? {} : { place: id }) };
}

/** A record's files, in the order in which they were brought in. */
export async function filesOfRecord(
  { sequelize }: Database,
  business_id: string,
  place: PlaceOfFiles,
  most: number,
): Promise<KeptRecordFile[]> {
  return sequelize.query<KeptRecordFile>(
    `select ${COLUMNS} from record_file where ${ofPlace(place)} order by brought_at, name limit ${most}`,
    { bind: bindOf(business_id, place), type: QueryTypes.SELECT },
  );
}

/** A file of a client's, with what of theirs it belongs to; a visit's with when that is. */
export interface ClientFile extends KeptRecordFile {
  of: string;
  starts_at: Date | null;
}

/** The files of a client and of all that is theirs, the newest first. */
export async function filesOfClient(
  { sequelize }: Database,
  business_id: string,
  client_id: string,
  most: number,
): Promise<ClientFile[]> {
  return sequelize.query<ClientFile>(
    `select one.id, one.name, one.sha256, one.size, one.preview, one.brought_at,
       coalesce(project.title, booking.service, item.name, client.name, '') as of, booking.starts_at
     from record_file one
     join client on client.business_id = one.business_id and client.id = one.client_id
     left join project on project.business_id = one.business_id and project.id = one.project_id
     left join booking on booking.business_id = one.business_id and booking.id = one.booking_id
     left join item on item.business_id = one.business_id and item.id = one.item_id
     where one.business_id = $business_id and one.client_id = $client_id and one.removed_at is null
     order by one.brought_at desc, one.name limit $most::int`,
    { bind: { business_id, client_id, most }, type: QueryTypes.SELECT },
  );
}

/**
 * Keeps a file with a record. Who brings one to the same record waits for the other, so that each is there once, under a name of its own.
 * @param nameFor what it is called, among the names that are there
 * @param most how many there may be
 * @returns it, or the one of the same content that was there; undefined: there is no room for it
 */
export async function insertRecordFile(
  database: Database,
  business_id: string,
  place: PlaceOfFiles,
  { at, ...ready }: ReadyFile & { at: Date },
  nameFor: (taken: readonly string[]) => string,
  most: number,
): Promise<{ kept: KeptRecordFile; isNew: boolean } | undefined> {
  const { sequelize, models, inTransaction } = database;
  const { file, preview } = ready;
  return inTransaction(async () => {
    await sequelize.query('select pg_advisory_xact_lock(hashtextextended($id, 0))', {
      bind: { id: place.id },
    });
    const there = await filesOfRecord(database, business_id, place, most);
    const same = there.find(({ sha256 }) => sha256 === file.sha256);
    if (same) return { kept: same, isNew: false };
    if (there.length >= most) return undefined;
    await keepReady(database, business_id, ready);
    const kept: KeptRecordFile = {
      id: randomUUID(),
      name: nameFor(there.map(({ name }) => name)),
      sha256: file.sha256,
      size: file.content.length,
      preview: preview?.sha256 ?? null,
      brought_at: at,
    };
    const { client_id, column, id } = place;
    await models.record_file.create({
      business_id,
      client_id,
      ...(column ? { [column]: id } : {}),
      ...kept,
    });
    return { kept, isNew: true };
  });
}

/** What a file of a record holds. Undefined: there is none of that id. */
export async function contentOfRecordFile(
  { sequelize }: Database,
  business_id: string,
  id: string,
): Promise<{ name: string; content: Buffer } | undefined> {
  const [found] = await sequelize.query<{ name: string; content: Buffer }>(
    `select name, content from record_file join file using (business_id, sha256)
     where business_id = $business_id and id = $id and removed_at is null`,
    { bind: { business_id, id }, type: QueryTypes.SELECT },
  );
  return found;
}

/** What a file is called, and those of the same record beside it. Undefined: it is not there. */
export async function namesBeside(
  { sequelize }: Database,
  business_id: string,
  id: string,
): Promise<{ name: string; others: string[] } | undefined> {
  const [found] = await sequelize.query<{ name: string; others: string[] }>(
    `select name, array(select name from record_file other
       where other.business_id = one.business_id and other.client_id = one.client_id and other.id <> one.id
         and (other.project_id, other.booking_id, other.item_id)
           is not distinct from (one.project_id, one.booking_id, one.item_id) and other.removed_at is null) as others
     from record_file one where business_id = $business_id and id = $id and removed_at is null`,
    { bind: { business_id, id }, type: QueryTypes.SELECT },
  );
  return found;
}

/** Changes what is said of a file. Gives its name; undefined: it is not there. */
export async function changeRecordFile(
  { sequelize }: Database,
  business_id: string,
  id: string,
  change: { name: string } | { removed_at: Date | null },
): Promise<string | undefined> {
  const [column, value] = Object.entries(change)[0]!;
  const [changed] = await sequelize.query<{ name: string }>(
    `update record_file set ${column} = $value where business_id = $business_id and id = $id returning name`,
    { bind: { business_id, id, value }, type: QueryTypes.SELECT },
  );
  return changed?.name;
}

import { createHash } from 'node:crypto';
import { createInterface } from 'node:readline';
import type { Readable } from 'node:stream';
import { QueryTypes } from 'sequelize';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import { archiveTables, type ArchiveTable } from '../../data/archive/archiveTables';
import { emptyBusiness, emptyOut } from '../../data/archive/emptyBusiness';
import {
  addressesTaken,
  insertArchiveFile,
  insertArchiveRows,
  keepOwner,
  membersReadBack,
  sayingOf,
  settleReadBack,
  updateBusinessRow,
} from '../../data/archive/readRows';
import type { Database } from '../../data/database';
import { contentFile, HEAD, tableFile, type ArchiveHead } from './archiveForm';

/** More than this is no archive of ours. */
const MOST_ENTRIES = 1_000_000;
const LONGEST_HEAD = 1_000_000;
const LONGEST_LINE = 50_000_000;
const LARGEST_FILE = 100_000_000;
/** So many rows are written at once, and so long together. */
const AT_ONCE = 500;
const LENGTH_AT_ONCE = 5_000_000;

/** An archive that cannot be brought back, in a sentence. */
export class NoArchive extends Error {}

/** What was brought back. */
export interface BroughtBack {
  name: string;
  rows: number;
  /** letters that were on their way, and wait now */
  held: number;
}

/**
 * Brings a business back from an archive, into one that is empty: all of it or nothing.
 * @param key of the empty business, where there are several
 * @throws NoArchive
 */
export async function bringBack(database: Database, file: string, key?: string): Promise<BroughtBack> {
  const zip = await openZip(file);
  try {
    const entries = await entriesOf(zip);
    const head = await readHead(zip, entries);
    return await database.acrossBusinesses(() => readBack(database, zip, entries, head, key));
  } finally {
    zip.close();
  }
}

type Entries = ReadonlyMap<string, Entry>;

async function readBack(
  database: Database,
  zip: ZipFile,
  entries: Entries,
  head: ArchiveHead,
  key: string | undefined,
): Promise<BroughtBack> {
  await checkSchema(database, head);
  const found = await emptyBusiness(database, key);
  if ('stays' in found) throw new NoArchive(found.stays);
  const { id, owner } = found;
  const tables = await archiveTables(database);
  await emptyOut(database, id, tables);
  // Whatever names the business names the one that it is read into, also within what was removed or merged.
  const renamed = (line: string) => line.replaceAll(head.business.id, id);
  let rows = 0;
  const templates: string[] = [];
  let isOwnerIn = false;
  for (const table of tables) {
    const said = head.tables.find(({ name }) => name === table.name)?.rows ?? 0;
    let found = 0;
    for await (const lines of linesOf(zip, entries, tableFile(table.name))) {
      found += lines.length;
      await write(table, lines.map(renamed));
    }
    if (found !== said)
      throw new NoArchive(`It is not whole: of ${said} rows in ${tableFile(table.name)} ${found} are there.`);
    if (table.name === 'member' && !isOwnerIn) await keepOwner(database, id, owner);
    rows += found;
  }
  const held = await settleReadBack(database, id, templates);
  return { name: head.business.name, rows, held };

  async function write(table: ArchiveTable, lines: readonly string[]): Promise<void> {
    switch (table.name) {
      case 'business':
        return updateBusinessRow(database, id, table, lines[0]!);
      case 'member': {
        const taken = await addressesTaken(database, id, lines);
        if (taken.length > 0)
          throw new NoArchive(
            `${taken.join(', ')} signs in at another business here: that can be one alone.`,
          );
        const read = membersReadBack(lines, owner);
        isOwnerIn ||= read.isOwnerIn;
        return insertArchiveRows(database, table, read.lines);
      }
      case 'file':
        for (const line of lines) await insertArchiveFile(database, line, await contentOf(line));
        return;
      // The database counts these anew as what hangs on them is read back.
      case 'template':
        templates.push(...lines);
        return insertArchiveRows(
          database,
          table,
          lines.map((line) => sayingOf(line, { letters: 0, last_used_at: null })),
        );
      case 'invoice':
        return insertArchiveRows(
          database,
          table,
          lines.map((line) => sayingOf(line, { total: 0, paid: 0 })),
        );
      default:
        return insertArchiveRows(database, table, lines);
    }
  }
  async function contentOf(line: string): Promise<Buffer> {
    const { sha256 } = JSON.parse(line) as { sha256: string };
    const content = await bytesOf(zip, entries, contentFile(sha256), LARGEST_FILE);
    if (createHash('sha256').update(content).digest('hex') !== sha256)
      throw new NoArchive(`${contentFile(sha256)} is not what it was.`);
    return content;
  }
}

async function checkSchema({ sequelize }: Database, { schema }: ArchiveHead): Promise<void> {
  const [now] = await sequelize.query<{ name: string }>('select max(name) as name from migration', {
    type: QueryTypes.SELECT,
  });
  if (now?.name !== schema)
    throw new NoArchive(
      'It was taken out of another version of Fair Quill. Bring it back with that version, and update it then.',
    );
}

function openZip(file: string): Promise<ZipFile> {
  return new Promise((resolve, reject) => {
    yauzl.open(file, { lazyEntries: true, autoClose: false, strictFileNames: true }, (error, zip) =>
      error
        ? reject(new NoArchive(`${file} is no archive that can be read: ${error.message}`))
        : resolve(zip),
    );
  });
}

function entriesOf(zip: ZipFile): Promise<Entries> {
  if (zip.entryCount > MOST_ENTRIES) return Promise.reject(new NoArchive('There is too much in it.'));
  return new Promise((resolve, reject) => {
    const entries = new Map<string, Entry>();
    zip.on('entry', (entry: Entry) => {
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.once('end', () => resolve(entries));
    zip.once('error', (error: Error) => reject(new NoArchive(`It cannot be read: ${error.message}`)));
    zip.readEntry();
  });
}

async function readHead(zip: ZipFile, entries: Entries): Promise<ArchiveHead> {
  const text = (await bytesOf(zip, entries, HEAD, LONGEST_HEAD)).toString('utf8');
  let head: Partial<ArchiveHead>;
  try {
    head = JSON.parse(text) as Partial<ArchiveHead>;
  } catch {
    throw new NoArchive(`${HEAD} cannot be read.`);
  }
  const { form, version, business, tables } = head;
  if (form !== 'Fair Quill archive' || version !== 1 || !business || !Array.isArray(tables))
    throw new NoArchive(`${HEAD} is of no archive of ours.`);
  if (!/^[\da-f-]{36}$/.test(String(business.id))) throw new NoArchive(`${HEAD} names no business.`);
  return head as ArchiveHead;
}

function streamOf(zip: ZipFile, entries: Entries, name: string): Promise<Readable> {
  const entry = entries.get(name);
  if (!entry) return Promise.reject(new NoArchive(`It is not whole: ${name} is missing.`));
  return new Promise((resolve, reject) => {
    zip.openReadStream(entry, (error, stream) =>
      error ? reject(new NoArchive(`${name} cannot be read: ${error.message}`)) : resolve(stream),
    );
  });
}

async function bytesOf(zip: ZipFile, entries: Entries, name: string, most: number): Promise<Buffer> {
  const parts: Buffer[] = [];
  let length = 0;
  for await (const part of await streamOf(zip, entries, name)) {
    length += (part as Buffer).length;
    if (length > most) throw new NoArchive(`${name} is too large.`);
    parts.push(part as Buffer);
  }
  return Buffer.concat(parts);
}

/** The lines of an entry, some at a time. */
async function* linesOf(zip: ZipFile, entries: Entries, name: string): AsyncGenerator<string[]> {
  const input = await streamOf(zip, entries, name);
  let lines: string[] = [];
  let length = 0;
  for await (const line of createInterface({ input, crlfDelay: Infinity })) {
    if (!line) continue;
    if (line.length > LONGEST_LINE) throw new NoArchive(`A line of ${name} is too long.`);
    lines.push(line);
    length += line.length;
    if (lines.length < AT_ONCE && length < LENGTH_AT_ONCE) continue;
    yield lines;
    [lines, length] = [[], 0];
  }
  if (lines.length > 0) yield lines;
}

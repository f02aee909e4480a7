import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import pg from 'pg';
import { afterAll, beforeAll, expect, it } from 'vitest';
import {
  temporaryDatabase,
  withDemonstration,
  type TemporaryDatabase,
} from '../../src/data/test/temporaryDatabase';
import { backUp, restore } from './dump.mjs';
import { findBinaries } from './postgres.mjs';

let database: TemporaryDatabase;
let other: TemporaryDatabase;
let folder: string;
let programs: string;

beforeAll(async () => {
  database = await temporaryDatabase();
  other = await temporaryDatabase({ migrated: false });
  await withDemonstration(database);
  folder = await mkdtemp(path.join(tmpdir(), 'dump-'));
  ({ folder: programs } = await findBinaries());
});
afterAll(async () => {
  await rm(folder, { recursive: true });
  await database.drop();
  await other.drop();
});

/** Every row of every table, as text. */
async function everything(url: string): Promise<Record<string, string[]>> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    const { rows: tables } = await client.query<{ name: string }>(
      `select table_name as name from information_schema.tables
       where table_schema = 'public' and table_type = 'BASE TABLE' order by 1`,
    );
    const said: Record<string, string[]> = {};
    for (const { name } of tables) {
      const { rows } = await client.query<{ row: string }>(
        `select one::text as row from "${name}" one order by 1`,
      );
      said[name] = rows.map(({ row }) => row);
    }
    return said;
  } finally {
    await client.end();
  }
}

it('what is backed up comes back as it was, table by table', async () => {
  const file = path.join(folder, 'all.dump');
  const tables = await backUp(database.url, programs, file);
  expect(tables).toBeGreaterThan(30);
  expect(await restore(other.url, programs, file)).toBe(tables);
  const before = await everything(database.url);
  expect(before.client!.length).toBeGreaterThan(30);
  expect(await everything(other.url)).toEqual(before);
  // Its walls stand, too: nobody sees another's rows.
  const client = new pg.Client({ connectionString: other.url });
  await client.connect();
  const { rows } = await client.query('select count(*)::int as policies from pg_policies');
  await client.end();
  expect((rows[0] as { policies: number }).policies).toBeGreaterThan(30);
});

it('data that is there is not written over unless told', async () => {
  const file = path.join(folder, 'again.dump');
  await backUp(database.url, programs, file);
  await expect(restore(other.url, programs, file)).rejects.toThrow(
    'There is data already: Larkfield Piano Care. Add --over to put what is in the file in its place.',
  );
  const client = new pg.Client({ connectionString: other.url });
  await client.connect();
  await client.query("update client set name = 'Somebody else' where key = 'hartigan'");
  await client.end();
  await restore(other.url, programs, file, { over: true });
  expect(await everything(other.url)).toEqual(await everything(database.url));
});

it('what is no backup, or a part of one, is told and changes nothing', async () => {
  const before = await everything(other.url);
  const file = path.join(folder, 'all.dump');
  const broken = path.join(folder, 'broken.dump');
  await expect(restore(other.url, programs, path.join(folder, 'none'))).rejects.toThrow(/^There is no file/);
  await writeFile(broken, 'Dear Oda,');
  await expect(restore(other.url, programs, broken)).rejects.toThrow(/is no backup of ours/);
  const whole = await readFile(file);
  await writeFile(broken, whole.subarray(0, whole.length / 2));
  await expect(restore(other.url, programs, broken, { over: true })).rejects.toThrow(/is no backup of ours/);
  // Its list reads, and what follows does not.
  await writeFile(broken, whole.fill(7, Math.floor(whole.length * 0.8), Math.floor(whole.length * 0.82)));
  await expect(restore(other.url, programs, broken, { over: true })).rejects.toThrow(
    /^It could not be brought back, and nothing has been changed/,
  );
  expect(await everything(other.url)).toEqual(before);
});

import { mkdtemp, readdir, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDatabase, TABLES } from './database';
import { inSentence } from './databaseError';
import { migrate } from './migrate';
import { MIGRATIONS, temporaryDatabase, type TemporaryDatabase } from './test/temporaryDatabase';

let database: TemporaryDatabase;
beforeAll(async () => {
  database = await temporaryDatabase({ migrated: false });
});
afterAll(() => database.drop());

describe('migrating', () => {
  it('two at once is done once', async () => {
    const second = openDatabase(database.url);
    const ran = await Promise.all([
      migrate(database.sequelize, MIGRATIONS),
      migrate(second.sequelize, MIGRATIONS),
    ]);
    expect(ran.flat()).toEqual((await readdir(MIGRATIONS)).filter((name) => name.endsWith('.sql')).sort());
    await second.close();
    expect(await migrate(database.sequelize, MIGRATIONS)).toEqual([]);
  });

  it('leaves nothing of a migration that fails', async () => {
    const folder = await mkdtemp(path.join(tmpdir(), 'migrations-'));
    for (const name of await readdir(MIGRATIONS)) await writeFile(path.join(folder, name), 'select 1');
    await writeFile(path.join(folder, '9998-whole.sql'), 'create table whole (id int);');
    await writeFile(
      path.join(folder, '9999-broken.sql'),
      'create table half (id int); select nothing_there;',
    );
    await expect(migrate(database.sequelize, folder)).rejects.toThrow('nothing_there');
    const [half] = await database.sequelize.query<{ found: boolean }>(
      // What ran before it in the same start is gone, too, and so is its note.
      "select to_regclass('half') is not null or to_regclass('whole') is not null or exists (select from migration where name like '999%') as found",
      {
        type: QueryTypes.SELECT,
      },
    );
    expect(half?.found).toBe(false);
  });

  it('refuses a database that a newer version made', async () => {
    const folder = await mkdtemp(path.join(tmpdir(), 'migrations-'));
    await expect(migrate(database.sequelize, folder)).rejects.toThrow('made by a newer version');
  });
});

it('the models are the tables: the same columns, and what may be empty', async () => {
  const columns = await database.sequelize.query<{
    table_name: string;
    column_name: string;
    is_nullable: 'YES' | 'NO';
  }>(
    "select table_name, column_name, is_nullable from information_schema.columns where table_schema = 'public'",
    { type: QueryTypes.SELECT },
  );
  for (const [name, model] of Object.entries(TABLES)) {
    const real = columns.filter(({ table_name }) => table_name === name);
    expect(Object.keys(model).sort(), name).toEqual(real.map(({ column_name }) => column_name).sort());
    for (const { column_name, is_nullable } of real) {
      const { allowNull } = (model as Record<string, { allowNull?: boolean }>)[column_name]!;
      expect(allowNull, `${name}.${column_name}`).toBe(is_nullable === 'YES');
    }
  }
});

it('a server that is too old is refused', async () => {
  const old = {
    query: () => Promise.resolve([{ version: 120_022 }]),
  } as unknown as TemporaryDatabase['sequelize'];
  await expect(migrate(old, MIGRATIONS)).rejects.toThrow(
    'The database server is PostgreSQL 12; 15 or newer is needed.',
  );
});

it('a database that cannot be reached is said in a sentence', async () => {
  const nowhere = openDatabase('postgres://nobody:x@127.0.0.1:1/none');
  const error = await migrate(nowhere.sequelize, MIGRATIONS).catch(inSentence);
  expect((error as Error).message).toMatch(/^The database cannot be reached \(.+\)\. Look at DATABASE_URL/);
  await nowhere.close();
});

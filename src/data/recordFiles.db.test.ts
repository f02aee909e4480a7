import { copyFile, mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { QueryTypes } from 'sequelize';
import { expect, it } from 'vitest';
import { migrate } from './migrate';
import { MIGRATIONS, temporaryDatabase } from './test/temporaryDatabase';

const ID = (n: number) => `00000000-0000-4000-8000-00000000000${n}`;
const SHA256 = "encode(sha256('abc'), 'hex')";

it('files and removed clients of before come along when the tables change', async () => {
  const database = await temporaryDatabase({ migrated: false });
  const before = await mkdtemp(path.join(tmpdir(), 'migrations-'));
  const ask = <Row extends object>(sql: string) =>
    database.sequelize.query<Row>(sql, { type: QueryTypes.SELECT });
  try {
    for (const name of await readdir(MIGRATIONS))
      if (name < '0034') await copyFile(path.join(MIGRATIONS, name), path.join(before, name));
    await migrate(database.sequelize, before);
    for (const row of [
      `business (id, key, name, locale, time_zone, currency) values ('${ID(1)}', 'b', 'B', 'en-GB', 'Europe/London', 'GBP')`,
      `member (business_id, id, key, full_name, email, role, password_hash) values ('${ID(1)}', '${ID(2)}', 'm', 'M', 'm@b.example', 'owner', 'x')`,
      `client (business_id, id, key, kind, name) values ('${ID(1)}', '${ID(3)}', 'c', 'person', 'C')`,
      `project (business_id, id, key, client_id, title, status) values ('${ID(1)}', '${ID(4)}', 'p', '${ID(3)}', 'P', 'active')`,
      `file (business_id, sha256, media_type, size, content) values ('${ID(1)}', ${SHA256}, 'text/plain', 3, 'abc')`,
      `record_file (business_id, id, sha256, name, project_id, position) values ('${ID(1)}', '${ID(5)}', ${SHA256}, 'a.txt', '${ID(4)}', 0)`,
      `own_file (business_id, id, sha256, name, size, brought_at) values ('${ID(1)}', '${ID(6)}', ${SHA256}, 'o.txt', 3, now())`,
      `removed_record (business_id, id, kind, key, name, member_id, removed_at, rows, loosened) select business_id, '${ID(7)}', 'client',
         key, name, '${ID(2)}', now(), jsonb_build_object('client', jsonb_build_array(to_jsonb(client))), '[]' from client`,
    ])
      await database.sequelize.query(`insert into ${row}`);
    await migrate(database.sequelize, MIGRATIONS);
    expect(await ask('select client_id, project_id, size from record_file')).toEqual([
      { client_id: ID(3), project_id: ID(4), size: 3 },
    ]);
    expect(await ask('select used::int, in_words from file_room, file')).toEqual([
      { used: 3, in_words: true },
    ]);
    expect(await ask("select rows #> '{client,0,more_phones}' as phones from removed_record")).toEqual([
      { phones: [] },
    ]);
  } finally {
    await rm(before, { recursive: true });
    await database.drop();
  }
});

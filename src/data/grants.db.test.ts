import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { prepareJobs } from '../server/jobs';
import { openDatabase, type Database } from './database';
import { stableId } from './stableId';
import { grantTo } from './grants';
import { temporaryDatabase, withDemonstration, type TemporaryDatabase } from './test/temporaryDatabase';

let owner: TemporaryDatabase;
let application: Database;
const role = `application_${process.pid}`;

beforeAll(async () => {
  owner = await temporaryDatabase();
  await withDemonstration(owner);
  await prepareJobs(owner.url);
  await owner.sequelize.query(`create role ${role} login password 'of-a-test'`);
  await grantTo(owner.sequelize, role);
  const url = Object.assign(new URL(owner.url), { username: role, password: 'of-a-test' }).href;
  application = openDatabase(url, { connections: 1, statementSeconds: 1 });
});
afterAll(async () => {
  await application.close();
  await owner.sequelize.query(`drop owned by ${role}; drop role ${role}`);
  await owner.drop();
});

const larkfield = stableId('business', 'larkfield');
const elsewhere = '00000000-0000-4000-8000-00000000b002';

const count = async (sql: string) => {
  const [row] = await application.sequelize.query<{ count: number }>(sql, { type: QueryTypes.SELECT });
  return row!.count;
};

describe('a query that forgets its business', () => {
  const forgetful = 'select count(*) from client';

  it('finds nothing outside of work for one, and only its rows within', async () => {
    const all = await application.acrossBusinesses(() => count(forgetful));
    expect(all).toBeGreaterThan(30);
    expect(await count(forgetful)).toBe(0);
    expect(await application.inBusiness(larkfield, () => count(forgetful))).toBe(all);
    expect(await application.inBusiness(elsewhere, () => count(forgetful))).toBe(0);
    // The next on the same connection starts with nothing again.
    expect(await count(forgetful)).toBe(0);
  });

  it.each([
    'select count(*) from business',
    'select count(*) from invoice where total > paid',
    'select count(*) from member',
    "select count(*) from message where status <> 'draft'",
  ])('finds nothing of another: %s', async (sql) => {
    expect(await application.inBusiness(larkfield, () => count(sql))).toBeGreaterThan(0);
    expect(await application.inBusiness(elsewhere, () => count(sql))).toBe(0);
  });

  it('changes and removes nothing of another, and writes nothing there', async () => {
    await application.inBusiness(elsewhere, async () => {
      expect(await count('with gone as (delete from client returning 1) select count(*) from gone')).toBe(0);
      expect(
        await count("with gone as (update client set name = 'x' returning 1) select count(*) from gone"),
      ).toBe(0);
    });
    await expect(
      application.inBusiness(elsewhere, () =>
        application.sequelize.query(
          `insert into client (business_id, id, key, name) values ('${larkfield}', gen_random_uuid(), 'x', 'x')`,
        ),
      ),
    ).rejects.toThrow('row-level security');
  });

  it('meets that wall in every table that has a business', async () => {
    const without = await owner.sequelize.query<{ table: string }>(
      `select columns.table_name as table from information_schema.columns
       join information_schema.tables using (table_schema, table_name)
       join pg_class on pg_class.oid = format('public.%I', columns.table_name)::regclass
       where table_schema = 'public' and table_type = 'BASE TABLE' and column_name = 'business_id'
         and not (relrowsecurity and exists (select from pg_policy where polrelid = pg_class.oid))`,
      { type: QueryTypes.SELECT },
    );
    expect(without).toEqual([]);
  });
});

describe('work for a business', () => {
  it('is all kept or not at all, over one connection, and what is within belongs to it', async () => {
    const backend = () => count('select pg_backend_pid() as count');
    await expect(
      application.inBusiness(larkfield, async () => {
        const one = await backend();
        await application.inBusiness(larkfield, async () => expect(await backend()).toBe(one));
        await application.inTransaction(async () => expect(await backend()).toBe(one));
        await application.sequelize.query("update client set notes = 'half' where key = 'hartigan'");
        throw new Error('and then it broke');
      }),
    ).rejects.toThrow('and then it broke');
    const half = () => count("select count(*) from client where notes = 'half'");
    expect(await application.inBusiness(larkfield, half)).toBe(0);
  });

  it('goes on when a part of it failed that was to be kept or not', async () => {
    const left = await application.inBusiness(larkfield, async () => {
      await expect(
        application.inTransaction(() =>
          application.sequelize.query(
            'insert into client (business_id, id, key, name) select business_id, id, key, name from client limit 1',
          ),
        ),
      ).rejects.toThrow();
      return count('select count(*) from client');
    });
    expect(left).toBeGreaterThan(30);
  });

  it('cannot turn to another', async () => {
    await expect(
      application.inBusiness(larkfield, () => application.inBusiness(elsewhere, () => count('select 1'))),
    ).rejects.toThrow('cannot ask for another');
  });
});

it.each([
  'select count(*) from client',
  "update client set name = name where key = 'hartigan'",
  'select * from present_mark($$x$$)',
  'select count(*) from pgboss.job',
])('the application may: %s', async (sql) => {
  await expect(application.sequelize.query(sql)).resolves.toBeDefined();
});

it.each([
  'drop table client',
  'create table of_my_own (a integer)',
  'alter table client disable trigger all',
  'create function of_my_own() returns integer language sql as $$select 1$$',
  "insert into migration values ('9999')",
  'select pg_read_file($$/etc/hostname$$)',
  "copy client to program 'cat'",
  'create role another superuser',
])('and may not: %s', async (sql) => {
  await expect(application.sequelize.query(sql)).rejects.toThrow(/permission denied|must be|only roles with/);
});

it('what takes too long is ended', async () => {
  await expect(application.sequelize.query('select pg_sleep(5)')).rejects.toThrow('statement timeout');
});

import { afterAll, beforeAll, expect, it } from 'vitest';
import { prepareJobs } from '../server/jobs';
import { openDatabase, type Database } from './database';
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

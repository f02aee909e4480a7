import { access, rename, rm } from 'node:fs/promises';
import path from 'node:path';
import pg from 'pg';
import { command } from './command.mjs';
import { Sentence } from './sentence.mjs';

/**
 * Writes all data into a file of pg_dump's custom format, and reads the file's list before it gets its name.
 * @param url of the tables' owner
 * @param folder where PostgreSQL's programs are
 * @returns how many tables are in it
 */
export async function backUp(url, folder, file) {
  const { env } = connectionOf(url);
  const part = `${file}.part`;
  const dumped = await command(
    path.join(folder, 'pg_dump'),
    ['--format=custom', '--no-password', `--file=${part}`],
    { env },
  );
  if (dumped.code !== 0) {
    await rm(part, { force: true });
    throw new Sentence(`It could not be backed up: ${lastLine(dumped.output)}`);
  }
  const tables = await tablesIn(folder, part);
  await rename(part, file);
  return tables;
}

/**
 * Brings the data of such a file back: into a database of its own first, which takes the other's place once all of it is there.
 * @param over whether it may take the place of data that is there
 * @returns how many tables came back
 */
export async function restore(url, folder, file, { over = false } = {}) {
  const tables = await tablesIn(folder, file);
  const { env, database, server } = connectionOf(url);
  const there = await businessesIn(url);
  if (there.length > 0 && !over)
    throw new Sentence(
      `There is data already: ${there.join(', ')}. Add --over to put what is in the file in its place.`,
    );
  const [fresh, former] = [`${database}_restored`, `${database}_before`];
  await onServer(server, `drop database if exists "${fresh}"`);
  await onServer(server, `create database "${fresh}"`);
  const restored = await command(
    path.join(folder, 'pg_restore'),
    ['--no-password', '--exit-on-error', '--single-transaction', `--dbname=${fresh}`, path.resolve(file)],
    { env },
  );
  if (restored.code !== 0) {
    await onServer(server, `drop database if exists "${fresh}"`);
    throw new Sentence(
      `It could not be brought back, and nothing has been changed: ${lastLine(restored.output)}`,
    );
  }
  await onServer(server, `drop database if exists "${former}" with (force)`);
  await onServer(
    server,
    `select pg_terminate_backend(pid) from pg_stat_activity where datname = '${database.replaceAll("'", "''")}'`,
  );
  await onServer(server, `alter database "${database}" rename to "${former}"`);
  await onServer(server, `alter database "${fresh}" rename to "${database}"`);
  await onServer(server, `drop database "${former}" with (force)`);
  return tables;
}

async function tablesIn(folder, file) {
  await access(file).catch(() => {
    throw new Sentence(`There is no file ${file}.`);
  });
  const { code, output } = await command(path.join(folder, 'pg_restore'), ['--list', path.resolve(file)]);
  if (code !== 0) throw new Sentence(`${file} is no backup of ours: ${lastLine(output)}`);
  if (!/ TABLE DATA public business /.test(output))
    throw new Sentence(`${file} is a backup of something else: there is no business in it.`);
  return output.split('\n').filter((line) => / TABLE DATA /.test(line)).length;
}

async function businessesIn(url) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    const { rows } = await client.query("select to_regclass('public.business') is not null as there");
    if (!rows[0].there) return [];
    return (await client.query('select name from business order by name')).rows.map(({ name }) => name);
  } finally {
    await client.end();
  }
}

/** What PostgreSQL's programs are told by the environment, so that no password stands among the processes. */
function connectionOf(url) {
  const { hostname, port, username, password, pathname } = new URL(url);
  const database = decodeURIComponent(pathname.slice(1));
  const server = Object.assign(new URL(url), { pathname: '/postgres' }).href;
  const env = {
    ...process.env,
    PGHOST: hostname,
    PGPORT: port || '5432',
    PGUSER: decodeURIComponent(username),
    PGPASSWORD: decodeURIComponent(password),
    PGDATABASE: database,
  };
  return { env, database, server };
}

async function onServer(url, sql) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    await client.query(sql);
  } finally {
    await client.end();
  }
}

function lastLine(output) {
  return output.trim().split('\n').at(-1) ?? '';
}

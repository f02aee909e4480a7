import { randomBytes } from 'node:crypto';
import path from 'node:path';
import pg from 'pg';
import { openDatabase, type Database } from '../database';
import { loadDemonstration } from '../demonstration/loadDemonstration';
import { readDemonstration, type Demonstration } from '../demonstration/readDemonstration';
import { migrate } from '../migrate';

export const MIGRATIONS = path.resolve(import.meta.dirname, '../migrations');
export const DEMONSTRATION = path.resolve(import.meta.dirname, '../demonstration');
export const NOW = Date.parse('2026-11-25T09:00:00Z');

/** A database of its own for one test file, on the real server. */
export interface TemporaryDatabase extends Database {
  url: string;
  drop: () => Promise<void>;
}

export async function temporaryDatabase({ migrated = true } = {}): Promise<TemporaryDatabase> {
  const server = process.env.TEST_DATABASE_URL;
  if (!server) throw new Error('TEST_DATABASE_URL is not set: run the tests with “npm test”.');
  const name = `test_${randomBytes(6).toString('hex')}`;
  await onServer(server, `create database ${name}`);
  const url = Object.assign(new URL(server), { pathname: `/${name}` }).href;
  const database = openDatabase(url, { connections: 5 });
  if (migrated) await migrate(database.sequelize, MIGRATIONS);
  return {
    ...database,
    url,
    drop: async () => {
      await database.close();
      await onServer(server, `drop database ${name} with (force)`);
    },
  };
}

export async function withDemonstration(database: Database): Promise<Demonstration> {
  const demonstration = await readDemonstration(DEMONSTRATION, NOW);
  await loadDemonstration(database, demonstration);
  return demonstration;
}

async function onServer(url: string, sql: string): Promise<void> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  await client.query(sql);
  await client.end();
}

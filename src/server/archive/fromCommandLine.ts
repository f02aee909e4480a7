import type { Readable } from 'node:stream';
import { openDatabase, type Database } from '../../data/database';
import { inSentence } from '../../data/databaseError';
import { businessByKey } from '../businessByKey';
import { now } from '../clock';
import { bringBack, type BroughtBack } from './bringBack';
import { takeOut } from './takeOut';

/** Takes a business out. @param write what writes it down @returns what it is called @throws Error with a sentence */
export async function takeOutFrom(
  url: string,
  key: string | undefined,
  write: (content: Readable) => Promise<void>,
): Promise<string> {
  return withAll(url, async (database) => {
    const { id, name } = await businessByKey(database, key);
    await write(takeOut(database, id, now()));
    return name;
  });
}

/** Brings a business back into an empty one. @throws Error with a sentence */
export async function bringBackInto(
  url: string,
  file: string,
  key: string | undefined,
): Promise<BroughtBack> {
  return withAll(url, (database) => bringBack(database, file, key));
}

async function withAll<T>(url: string, work: (database: Database) => Promise<T>): Promise<T> {
  const database = openDatabase(url, { connections: 3, across: true, statementSeconds: 0 });
  try {
    return await work(database);
  } catch (error) {
    throw inSentence(error);
  } finally {
    await database.close();
  }
}

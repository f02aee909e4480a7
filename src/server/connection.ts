import { openDatabase, type Database } from '../data/database';

const kept = globalThis as unknown as { fairQuillDatabase?: Database };

/** The database of this process, opened at its first use; kept across reloads during development. */
export function connection(): Database {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set: start the application with “npm start”.');
  return (kept.fairQuillDatabase ??= openDatabase(url));
}

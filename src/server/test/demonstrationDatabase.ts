import { afterAll, beforeAll } from 'vitest';
import {
  temporaryDatabase,
  withDemonstration,
  type TemporaryDatabase,
} from '../../data/test/temporaryDatabase';
import { connection } from '../connection';

/**
 * A database with the demonstration for a file of tests, which the use cases work with.
 * @returns the database, once the tests run
 */
export function demonstrationDatabase(): { database: TemporaryDatabase } {
  const ground = {} as { database: TemporaryDatabase };
  beforeAll(async () => {
    ground.database = await temporaryDatabase();
    process.env.DATABASE_URL = ground.database.url;
    await withDemonstration(ground.database);
  });
  afterAll(async () => {
    await connection().close();
    await ground.database.drop();
  });
  return ground;
}

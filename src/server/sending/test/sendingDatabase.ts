import { afterAll, beforeAll, beforeEach } from 'vitest';
import { recogniseDatabase } from '../../../data/repositories/sending/ownMark';
import {
  temporaryDatabase,
  withDemonstration,
  type TemporaryDatabase,
} from '../../../data/test/temporaryDatabase';
import { connection } from '../../connection';

/**
 * A database with the demonstration anew before each test of a file, in which nothing sends and nothing is in trouble.
 * @returns the database, once the tests run
 */
export function sendingDatabase(): { database: TemporaryDatabase } {
  const ground = {} as { database: TemporaryDatabase };
  beforeAll(async () => {
    ground.database = await temporaryDatabase();
    process.env.DATABASE_URL = ground.database.url;
    process.env.FAIRQUILL_NOW = '2026-11-25T09:00:00Z';
  });
  beforeEach(async () => {
    await ground.database.sequelize.query(
      'delete from sending_trouble; delete from worker; delete from own_mark',
    );
    await withDemonstration(ground.database);
    await recogniseDatabase(ground.database, new Date());
  });
  afterAll(async () => {
    await connection().close();
    await ground.database.drop();
  });
  return ground;
}

import PgBoss from 'pg-boss';
import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { stableId } from '../../data/stableId';
import {
  temporaryDatabase,
  withDemonstration,
  type TemporaryDatabase,
} from '../../data/test/temporaryDatabase';
import { prepareJobs } from '../jobs';
import { startWorker } from './startWorker';

let database: TemporaryDatabase;
beforeAll(async () => {
  database = await temporaryDatabase();
  await withDemonstration(database);
  await prepareJobs(database.url);
});
afterAll(() => database.drop());

it('a worker does what is in the queue', async () => {
  const worker = await startWorker(database.url, 'smtp://127.0.0.1:9');
  await database.sequelize
    .query(`insert into session (business_id, id, member_id, token_hash, created_at, expires_at)
    values ('${stableId('business', 'larkfield')}', gen_random_uuid(), '${stableId('member', 'imke')}', repeat('a', 64),
      now() - interval '40 days', now() - interval '10 days')`);
  const boss = new PgBoss(database.url);
  await boss.start();
  await boss.send('tidy', {});
  await vi.waitFor(async () => expect(await database.models.session.count()).toBe(0), {
    timeout: 15_000,
    interval: 200,
  });
  await boss.stop({ graceful: false });
  await worker.stop();
}, 60_000);

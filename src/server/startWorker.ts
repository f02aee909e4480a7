import PgBoss from 'pg-boss';
import { openDatabase } from '../data/database';
import { tidySessions } from './tidySessions';

/** Work that is done by the clock. */
const TIDY = 'tidy';

/**
 * Starts a process that does what need not happen while somebody waits. Any number of them may run: the queue
 * gives each job to one, and gives it again when a worker was killed.
 */
export async function startWorker(url: string): Promise<{ stop: () => Promise<void> }> {
  const database = openDatabase(url, { connections: 3 });
  const boss = new PgBoss({
    connectionString: url,
    max: 3,
    maintenanceIntervalSeconds: 2,
    application_name: 'fair-quill',
  });
  boss.on('error', (error) => console.error(error));
  await boss.start();
  await boss.createQueue(TIDY);
  await boss.work(TIDY, async () => {
    await tidySessions(database);
  });
  await boss.schedule(TIDY, '*/15 * * * *');
  return {
    stop: async () => {
      await boss.stop({ graceful: true, timeout: 8000 });
      await database.close();
    },
  };
}

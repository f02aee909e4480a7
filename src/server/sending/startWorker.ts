import PgBoss from 'pg-boss';
import { openDatabase } from '../../data/database';
import { readMailServer } from '../../post/mailConnection';
import { tidySessions } from '../tidySessions';
import { Sender } from './sender';

/** Work that is done by the clock. */
const TIDY = 'tidy';

/**
 * Starts a process that does what need not happen while somebody waits. Any number of them may run: each letter is
 * claimed by one, and the queue gives each job of the clock to one.
 * @param smtpUrl where letters are handed over
 */
export async function startWorker(url: string, smtpUrl: string): Promise<{ stop: () => Promise<void> }> {
  const server = readMailServer(smtpUrl);
  const database = openDatabase(url, { connections: 8 });
  const boss = new PgBoss({ connectionString: url, max: 2, application_name: 'fair-quill' });
  boss.on('error', (error) => console.error(error));
  try {
    await boss.start();
    await boss.createQueue(TIDY);
  } catch (error) {
    await Promise.allSettled([boss.stop({ graceful: false }), database.close()]);
    throw error;
  }
  await boss.work(TIDY, async () => {
    await tidySessions(database);
  });
  await boss.schedule(TIDY, '*/15 * * * *');
  const sender = new Sender(database, server);
  const sending = sender.run();
  return {
    stop: async () => {
      sender.stop();
      await Promise.all([sending, boss.stop({ graceful: true, timeout: 8000 })]);
      await database.close();
    },
  };
}

import { openDatabase } from '../data/database';
import { readMailServer } from '../post/handOver';
import { createQueues, openQueue, SEND, TIDY } from './queue';
import { sendDueLetters } from './sendDueLetters';
import { tidySessions } from './tidySessions';

/** How often a worker looks for letters whose wake-up was lost, in milliseconds. */
const SWEEP = 15_000;

/**
 * Starts a process that does what need not happen while somebody waits. Any number of them may run: the queue gives
 * each job to one, and gives it again when a worker was killed.
 * @param smtpUrl where letters are handed over
 */
export async function startWorker(url: string, smtpUrl: string): Promise<{ stop: () => Promise<void> }> {
  const server = readMailServer(smtpUrl);
  const database = openDatabase(url, { connections: 3 });
  const boss = openQueue(url);
  try {
    await boss.start();
    await createQueues(boss);
  } catch (error) {
    await Promise.allSettled([boss.stop({ graceful: false }), database.close()]);
    throw error;
  }
  await boss.work(TIDY, async () => {
    await tidySessions(database);
  });
  await boss.schedule(TIDY, '*/15 * * * *');
  await boss.work<{ business_id: string; id: string }>(
    SEND,
    { pollingIntervalSeconds: 0.5 },
    async ([job]) => {
      const again = await sendDueLetters(database, server, job!.data.id);
      if (again) await boss.send(SEND, job!.data, { startAfter: again, retryLimit: 0 });
    },
  );
  const sweep = () => sendDueLetters(database, server).catch((error: unknown) => console.error(error));
  let sweeping = sweep();
  const timer = setInterval(() => (sweeping = sweep()), SWEEP);
  return {
    stop: async () => {
      clearInterval(timer);
      await boss.stop({ graceful: true, timeout: 8000 });
      await sweeping;
      await database.close();
    },
  };
}

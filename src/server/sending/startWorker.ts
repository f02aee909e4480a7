import { openDatabase } from '../../data/database';
import { readMailServer } from '../../post/mailServer';
import { tidyBringings } from '../../data/repositories/bringing/bringings';
import { TAKEN_OUT_FOR_DAYS } from '../../core/contract/bringing';
import { bringNext } from '../bringing/bringNext';
import { openJobs, TIDY } from '../jobs';
import { Lookout } from '../lookout';
import { sweepRemoved } from '../../data/repositories/files/sweepRemoved';
import { now } from '../clock';
import { tidySessions } from '../signIn/tidySessions';
import { Sender } from './sender';
import { writeMorningLetter } from '../telling/writeMorningLetters';
import { sendDueLater } from './sendLater';
import { WaysOut } from './waysOut';

/**
 * Starts a process that does what need not happen while somebody waits. Any number of them may run: each letter is
 * claimed by one, and the queue gives each job of the clock to one.
 * @param smtpUrl where letters are handed over
 */
export async function startWorker(url: string, smtpUrl: string): Promise<{ stop: () => Promise<void> }> {
  const server = readMailServer(smtpUrl);
  const database = openDatabase(url, { connections: 8, across: true });
  const boss = openJobs(url);
  try {
    await boss.start();
  } catch (error) {
    await Promise.allSettled([boss.stop({ graceful: false }), database.close()]);
    throw error;
  }
  await boss.work(TIDY, async () => {
    await tidySessions(database);
    await tidyBringings(database, TAKEN_OUT_FOR_DAYS);
    await sweepRemoved(database, {
      files: daysAgo(FILES_FOR_DAYS),
      records: daysAgo(REMOVED_FOR_DAYS),
      letters: daysAgo(DRAFTS_FOR_DAYS),
    });
  });
  await boss.schedule(TIDY, '*/15 * * * *');
  const sender = new Sender(database, server);
  const bringing = new Lookout(() => bringNext(database), {
    pause: 500,
    failed: 'What is brought in waits.',
  });
  const later = new Lookout(() => sendDueLater(database), {
    pause: 1000,
    failed: 'Letters for later wait.',
  });
  const waysOut = new WaysOut(database, server);
  const mornings = new Lookout(
    async () => {
      waysOut.closeIdle();
      return writeMorningLetter(database, waysOut);
    },
    { pause: 20_000, failed: 'Morning letters wait.' },
  );
  const workers = [sender, bringing, later, mornings];
  const working = workers.map((worker) => worker.run());
  return {
    stop: async () => {
      for (const worker of workers) worker.stop();
      waysOut.stop();
      await Promise.all([...working, boss.stop({ graceful: true, timeout: 8000 })]);
      await database.close();
    },
  };
}

/** A removed file can be put back for so many days, a record, with its files, for more. */
const FILES_FOR_DAYS = 1;
const REMOVED_FOR_DAYS = 30;
/** What was brought in for a letter that has not gone stays so many days. */
const DRAFTS_FOR_DAYS = 180;

function daysAgo(days: number): Date {
  return new Date(now() - days * 86_400_000);
}

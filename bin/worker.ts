import { startWorker } from '../src/server/sending/startWorker';

// The queue has promises of its own that nobody awaits: a database that restarts must not end the worker.
process.on('unhandledRejection', (error) => console.error('Nobody waited for', error));

const PAUSES = [1, 2, 5, 10, 30];

/** Starts as soon as the database answers, however long that takes. */
async function start(tries = 0): ReturnType<typeof startWorker> {
  try {
    return await startWorker(process.env.DATABASE_URL ?? '', process.env.SMTP_URL ?? '');
  } catch (error) {
    const pause = PAUSES[Math.min(tries, PAUSES.length - 1)]!;
    console.error(`The worker cannot start yet and tries again in ${pause} s.`, error);
    await new Promise((resolve) => setTimeout(resolve, pause * 1000));
    return start(tries + 1);
  }
}

const worker = await start();
for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  process.on(signal, () => {
    void worker.stop().then(() => process.exit(0));
  });
}
console.log('The worker is ready.');

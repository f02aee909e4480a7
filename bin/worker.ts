import { startWorker } from '../src/server/startWorker';

const worker = await startWorker(process.env.DATABASE_URL ?? '', process.env.SMTP_URL ?? '');
for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  process.on(signal, () => {
    void worker.stop().then(() => process.exit(0));
  });
}
console.log('The worker is ready.');

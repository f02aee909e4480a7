// The process that takes mail in: what is brought to it, and what it reads in mailboxes (docs/running.md).
import { connection } from '../src/server/connection';
import { startIncoming } from '../src/server/incoming/startIncoming';
import { startReading } from '../src/server/mailboxes/startReading';

// A mailbox's server that hangs up, or a database that restarts, must not end it.
process.on('unhandledRejection', (error) => console.error('Nobody waited for', error));

const { INCOMING_PORT, INCOMING_HOST, INCOMING_PROTOCOL } = process.env;
const incoming = await startIncoming(Number(INCOMING_PORT), {
  ...(INCOMING_HOST ? { host: INCOMING_HOST } : {}),
  protocol: INCOMING_PROTOCOL === 'smtp' ? 'smtp' : 'lmtp',
});
const reading = startReading(process.env.DATABASE_URL ?? '');
for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  process.on(signal, () => {
    void Promise.all([incoming.stop(), reading.stop()])
      .then(() => connection().close())
      .then(() => process.exit(0));
  });
}
console.log(`Mail comes in by ${INCOMING_PROTOCOL === 'smtp' ? 'SMTP' : 'LMTP'} on port ${incoming.port}.`);

// The process that takes mail in (docs/running.md).
import { connection } from '../src/server/connection';
import { startIncoming } from '../src/server/incoming/startIncoming';

const { INCOMING_PORT, INCOMING_HOST, INCOMING_PROTOCOL } = process.env;
const incoming = await startIncoming(Number(INCOMING_PORT), {
  ...(INCOMING_HOST ? { host: INCOMING_HOST } : {}),
  protocol: INCOMING_PROTOCOL === 'smtp' ? 'smtp' : 'lmtp',
});
for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  process.on(signal, () => {
    void incoming
      .stop()
      .then(() => connection().close())
      .then(() => process.exit(0));
  });
}
console.log(`Mail comes in by ${INCOMING_PROTOCOL === 'smtp' ? 'SMTP' : 'LMTP'} on port ${incoming.port}.`);

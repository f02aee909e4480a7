// A stand-in for the world's mail: takes letters by SMTP on loopback and shows each address's mailbox as its owner
// would see it. It delivers nothing anywhere. Beside it a provider that gives programs no password, whose letters come here too,
// and, where Dovecot is on this machine, the mailboxes of the business as mail programs read them (IMAP).
import { hasDovecot, startDovecot } from '../imap/startDovecot';
import { startProvider } from '../provider/startProvider';
import { takeBefore } from './before';
import { startHttp } from './http';
import { Letters } from './letters';
import { startSmtp } from './smtp';

const letters = new Letters();
const { MAILBOX_BEFORE } = process.env;
if (MAILBOX_BEFORE)
  await takeBefore(letters, MAILBOX_BEFORE).catch((error: Error) => console.error(error.message));
const listen = () => startSmtp(letters, Number(process.env.MAILBOX_SMTP_PORT ?? 3425));
let smtp = listen();
const ports = {
  port: Number(process.env.MAILBOX_PORT ?? 3480),
  incoming: Number(process.env.INCOMING_PORT ?? 3424),
};
const { PROVIDER_PORT, PROVIDER_SMTP_PORT, MAILBOX_IMAP_PORT } = process.env;
const provider = PROVIDER_PORT ? startProvider(Number(PROVIDER_PORT)) : undefined;
const byToken = provider && startSmtp(letters, Number(PROVIDER_SMTP_PORT), provider.grants);
const imap =
  MAILBOX_IMAP_PORT && hasDovecot()
    ? await startDovecot(Number(MAILBOX_IMAP_PORT), {
        ...(PROVIDER_PORT ? { introspection: `http://127.0.0.1:${PROVIDER_PORT}/introspect` } : {}),
      }).catch((error: Error) => void console.error(error.message))
    : undefined;
const http = startHttp(letters, { ...ports, imap: imap || undefined }, (milliseconds) => {
  smtp.close(() => setTimeout(() => (smtp = listen()), milliseconds));
});

for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  process.on(signal, () => {
    smtp.close(() => undefined);
    byToken?.close(() => undefined);
    void imap?.stop();
    for (const server of [http, provider?.server]) {
      server?.close();
      server?.closeAllConnections();
    }
    setTimeout(() => process.exit(0), 500).unref();
  });
}

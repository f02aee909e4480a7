// A stand-in for the world's mail: takes letters by SMTP on loopback and shows each address's mailbox as its owner
// would see it. It delivers nothing anywhere.
import { startHttp } from './http';
import { Letters } from './letters';
import { startSmtp } from './smtp';

const letters = new Letters();
const listen = () => startSmtp(letters, Number(process.env.MAILBOX_SMTP_PORT ?? 3425));
let smtp = listen();
const ports = {
  port: Number(process.env.MAILBOX_PORT ?? 3480),
  incoming: Number(process.env.INCOMING_PORT ?? 3424),
};
const http = startHttp(letters, ports, (milliseconds) => {
  smtp.close(() => setTimeout(() => (smtp = listen()), milliseconds));
});

for (const signal of ['SIGTERM', 'SIGINT'] as const) {
  process.on(signal, () => {
    smtp.close(() => undefined);
    http.close();
    http.closeAllConnections();
    setTimeout(() => process.exit(0), 200).unref();
  });
}

import { isIP } from 'node:net';
import SMTPConnection from 'nodemailer/lib/smtp-connection';
import { BEARER, signingInBy } from './bearer';
import type { MailServer } from './mailServer';
import { publicAddress } from './publicAddress';

const CONNECT_MILLISECONDS = 15_000;
const SILENCE_MILLISECONDS = 60_000;

/** More commands that a connection can say, by the names of ways to sign in. */
type Commands = SMTPConnection.Options['customAuth'];

/**
 * Connects to a server, with TLS as it is wanted, and signs in.
 * @throws SMTPConnection.SMTPError that tells at which command, or what publicAddress throws
 */
export async function openConnection(server: MailServer, customAuth?: Commands): Promise<SMTPConnection> {
  const { credentials, bearer, publicOnly, host, ...how } = server;
  const connection: SMTPConnection = new SMTPConnection({
    ...how,
    host: publicOnly ? await publicAddress(host) : host,
    // Its certificate is that of its name.
    ...(isIP(host) ? {} : { tls: { servername: host } }),
    customAuth: { ...customAuth, ...(bearer ? signingInBy(bearer, server, () => offersOf(connection)) : {}) },
    connectionTimeout: CONNECT_MILLISECONDS,
    greetingTimeout: CONNECT_MILLISECONDS,
    socketTimeout: SILENCE_MILLISECONDS,
  });
  try {
    await once((done) => {
      connection.once('error', done);
      connection.connect(done);
    });
    if (credentials) await once((done) => connection.login({ credentials }, done));
    if (bearer) await once((done) => connection.login({ method: BEARER, user: bearer.user } as never, done));
  } catch (error) {
    connection.on('error', () => undefined).close();
    throw error;
  }
  return connection;
}

/** What a connection does with a callback, to be waited for. */
export function once(begin: (done: (error?: Error | null) => void) => void): Promise<void> {
  return new Promise((resolve, reject) => begin((error) => (error ? reject(error) : resolve())));
}

function offersOf(connection: SMTPConnection): readonly string[] {
  return (connection as unknown as { _ehloLines?: string[] })._ehloLines ?? [];
}

import type SMTPConnection from 'nodemailer/lib/smtp-connection';
import type { MailServer } from './mailServer';
import { once, openConnection } from './openConnection';
import { whatIsWrong, type Wrong } from './whatIsWrong';

/** Our own commands; the library says them as another way to sign in. */
const CONVERSATION = 'CONVERSATION';

/**
 * Talks to a server as a letter would, up to whom it goes to, and takes leave: nothing is sent. Each sender is tried with
 * a letter to itself.
 * @returns what is wrong, in words, at the fact that is; undefined: it would take letters from all of them
 */
export async function tryServer(server: MailServer, senders: readonly string[]): Promise<Wrong | undefined> {
  let refused: Wrong | undefined;
  let connection: SMTPConnection | undefined;
  try {
    connection = await openConnection(server, {
      [CONVERSATION]: async ({ sendCommand }) => {
        for (const address of senders) {
          for (const line of [`MAIL FROM:<${address}>`, `RCPT TO:<${address}>`]) {
            const { status, response } = await sendCommand(line);
            if (status >= 400) {
              refused = whatIsWrong({ command: line, responseCode: status, response, address }, server);
              return;
            }
          }
          await sendCommand('RSET');
        }
      },
    });
    const open = connection;
    await once((done) => {
      open.removeAllListeners('error').once('error', done);
      open.login({ method: CONVERSATION } as never, done);
    });
    return refused;
  } catch (error) {
    return whatIsWrong(error as SMTPConnection.SMTPError, server);
  } finally {
    connection
      ?.removeAllListeners('error')
      .on('error', () => undefined)
      .quit();
    connection?.close();
  }
}

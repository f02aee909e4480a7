import { Readable } from 'node:stream';
import type SMTPConnection from 'nodemailer/lib/smtp-connection';
import type { MailServer } from './mailServer';
import { openConnection } from './openConnection';

export interface Envelope {
  from: string;
  to: string[];
  /** a server that offers it is asked to say what becomes of the letter (RFC 3461): it says so to the address that the letter is from */
  reports?: boolean;
}

/**
 * What the server said. `later`: it refuses the letter for now; `never`: for good; `unknown`: the connection broke while
 * it was taking the content, so it may have gone; `no server`: it takes no letter at all now; `no sender`: none from
 * this address.
 */
export type HandOver =
  | { result: 'taken'; words: string; refused: { address: string; words: string }[] }
  | { result: 'later' | 'never' | 'unknown'; words: string }
  | { result: 'no server'; words: string }
  | { result: 'no sender'; words: string };

/** A server that goes on saying a little ends at last, too. */
const LONGEST_MILLISECONDS = 600_000;

/** What a server is asked to say: that a letter has arrived, waits, or came back, with its head alone. */
const REPORTS = {
  return: 'headers' as const,
  notify: ['success' as const, 'failure' as const, 'delay' as const],
};

/** A connection to the mail server (RFC 5321) that is kept for one letter after another. */
export class MailConnection {
  readonly #server: MailServer;
  #open: SMTPConnection | undefined;

  constructor(server: MailServer) {
    this.#server = server;
  }

  /**
   * Hands a message over. `beforeContent` is waited for when the server has accepted the recipients and is ready for the
   * content: until then nothing can have gone out.
   * @throws what beforeContent throws; then nothing has gone out either
   */
  async handOver(envelope: Envelope, message: Buffer, beforeContent: () => Promise<void>): Promise<HandOver> {
    const kept = this.#open !== undefined;
    let contentBegan = false;
    let notBegun: Error | undefined;
    const late = setTimeout(() => this.close(), LONGEST_MILLISECONDS);
    try {
      const connection = (this.#open ??= await openConnection(this.#server));
      const content = new Readable({
        read() {
          beforeContent().then(
            () => {
              contentBegan = true;
              this.push(message);
              this.push(null);
            },
            (error: Error) => this.destroy((notBegun = error)),
          );
        },
      });
      const info = await new Promise<SMTPConnection.SentMessageInfo>((resolve, reject) => {
        connection.once('error', reject);
        connection.once('end', () => reject(new Error('The connection was closed.')));
        content.once('error', reject);
        const { reports, ...people } = envelope;
        const asked = reports ? { dsn: REPORTS } : {};
        connection.send({ ...people, ...asked, size: message.length }, content, (error, sent) =>
          error ? reject(error) : resolve(sent),
        );
      });
      connection.removeAllListeners('error').removeAllListeners('end').on('error', ignored);
      connection.once('end', () => this.#forget(connection));
      return {
        result: 'taken',
        words: info.response,
        refused: (info.rejectedErrors ?? []).map((one) => ({
          address: (one as unknown as { recipient?: string }).recipient ?? '',
          words: one.response ?? one.message,
        })),
      };
    } catch (error) {
      this.close();
      if (notBegun) throw notBegun;
      // Servers end a connection that is idle: that says nothing of the letter.
      if (kept && !contentBegan && !(error as SMTPConnection.SMTPError).responseCode)
        return await this.handOver(envelope, message, beforeContent);
      return refusal(error as SMTPConnection.SMTPError, contentBegan);
    } finally {
      clearTimeout(late);
    }
  }

  /** Ends the connection; the next letter makes a new one. */
  close(): void {
    const connection = this.#open;
    this.#open = undefined;
    connection?.removeAllListeners('end').quit();
    connection?.close();
  }

  #forget(connection: SMTPConnection): void {
    if (this.#open === connection) this.#open = undefined;
  }
}

function refusal(error: SMTPConnection.SMTPError, contentBegan: boolean): HandOver {
  const { responseCode: code, code: kind, command = 'CONN' } = error;
  const words = error.response ?? error.message;
  if (contentBegan && !code) return { result: 'unknown', words };
  // Signing in, the greeting and the way there concern every letter; the sender's address all of that sender.
  if (/^(?:CONN|EHLO|HELO|LHLO|STARTTLS|AUTH)/.test(command) || kind === 'EAUTH')
    return { result: 'no server', words };
  if (command === 'MAIL FROM' && kind === 'EENVELOPE') return { result: 'no sender', words };
  if (code && code < 500) return { result: 'later', words };
  return { result: code || kind === 'EENVELOPE' || kind === 'EMESSAGE' ? 'never' : 'later', words };
}

/** An error after the last letter was taken ends the connection, which is noticed by itself. */
function ignored(): void {}

import { Readable } from 'node:stream';
import SMTPConnection from 'nodemailer/lib/smtp-connection';

/**
 * Where letters are handed over, from SMTP_URL: smtp://[name:password@]host:port, or smtps:// for TLS from the start. A
 * server that is not on this machine has to offer TLS, unless the address ends with ?tls=none.
 */
export interface MailServer {
  host: string;
  port: number;
  secure: boolean;
  /** nothing is said to a server that offers no TLS: neither a password nor a letter */
  requireTLS: boolean;
  credentials?: { user: string; pass: string };
}

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

const CONNECT_MILLISECONDS = 15_000;
const SILENCE_MILLISECONDS = 60_000;
/** A server that goes on saying a little ends at last, too. */
const LONGEST_MILLISECONDS = 600_000;

/** What a server is asked to say: that a letter has arrived, waits, or came back, with its head alone. */
const REPORTS = {
  return: 'headers' as const,
  notify: ['success' as const, 'failure' as const, 'delay' as const],
};

/** @throws Error with a sentence when the URL is none of these */
export function readMailServer(url: string): MailServer {
  if (!URL.canParse(url) || !/^smtps?:$/.test(new URL(url).protocol)) {
    throw new Error('SMTP_URL begins with smtp:// or smtps://, as smtp://127.0.0.1:25.');
  }
  const { protocol, hostname, port, username, password, searchParams } = new URL(url);
  const here = /^(?:localhost|127(?:\.\d+){3}|\[?::1\]?)$/.test(hostname);
  const secure = protocol === 'smtps:';
  return {
    host: hostname.replace(/^\[|\]$/g, ''),
    port: Number(port) || (secure ? 465 : 587),
    secure,
    requireTLS: !secure && !here && searchParams.get('tls') !== 'none',
    ...(username
      ? { credentials: { user: decodeURIComponent(username), pass: decodeURIComponent(password) } }
      : {}),
  };
}

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
      const connection = (this.#open ??= await this.#connect());
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

  async #connect(): Promise<SMTPConnection> {
    const { credentials, ...address } = this.#server;
    const connection = new SMTPConnection({
      ...address,
      connectionTimeout: CONNECT_MILLISECONDS,
      greetingTimeout: CONNECT_MILLISECONDS,
      socketTimeout: SILENCE_MILLISECONDS,
      // On loopback there is nobody between us and the server.
      ignoreTLS: /^(?:127\.|localhost$|::1$)/.test(address.host),
    });
    try {
      await once((done) => {
        connection.once('error', done);
        connection.connect(done);
      });
      if (credentials) await once((done) => connection.login({ credentials }, done));
    } catch (error) {
      connection.on('error', ignored).close();
      throw error;
    }
    return connection;
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

function once(begin: (done: (error?: Error | null) => void) => void): Promise<void> {
  return new Promise((resolve, reject) => begin((error) => (error ? reject(error) : resolve())));
}

/** An error after the last letter was taken ends the connection, which is noticed by itself. */
function ignored(): void {}

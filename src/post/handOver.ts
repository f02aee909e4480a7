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
}

/**
 * What the server said. `later`: a refusal for now, or no connection; `never`: for good; `unknown`: the connection
 * broke while it was taking the content, so it may have gone.
 */
export type HandOver =
  | { result: 'taken'; words: string; refused: { address: string; words: string }[] }
  | { result: 'later' | 'never' | 'unknown'; words: string };

const CONNECT_MILLISECONDS = 15_000;
const SILENCE_MILLISECONDS = 60_000;

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

/**
 * Hands a message over (RFC 5321). `beforeContent` is waited for when the server has accepted the recipients and is
 * ready for the content: until then nothing can have gone out.
 */
export async function handOver(
  server: MailServer,
  envelope: Envelope,
  message: Buffer,
  beforeContent: () => Promise<void>,
): Promise<HandOver> {
  const { credentials, ...address } = server;
  const connection = new SMTPConnection({
    ...address,
    connectionTimeout: CONNECT_MILLISECONDS,
    greetingTimeout: CONNECT_MILLISECONDS,
    socketTimeout: SILENCE_MILLISECONDS,
    // On loopback there is nobody between us and the server.
    ignoreTLS: /^(?:127\.|localhost$|::1$)/.test(address.host),
  });
  let contentBegan = false;
  try {
    await once((done) => {
      connection.once('error', done);
      connection.connect(done);
    });
    if (credentials) await once((done) => connection.login({ credentials }, done));
    const content = Readable.from(
      (async function* () {
        contentBegan = true;
        await beforeContent();
        yield message;
      })(),
    );
    const info = await new Promise<SMTPConnection.SentMessageInfo>((resolve, reject) => {
      connection.once('error', reject);
      connection.once('end', () => reject(new Error('The connection was closed.')));
      content.once('error', reject);
      connection.send(envelope, content, (error, sent) => (error ? reject(error) : resolve(sent)));
    });
    connection.quit();
    return {
      result: 'taken',
      words: info.response,
      refused: (info.rejectedErrors ?? []).map((one) => ({
        address: (one as unknown as { recipient?: string }).recipient ?? '',
        words: one.response ?? one.message,
      })),
    };
  } catch (error) {
    connection.close();
    return refusal(error as SMTPConnection.SMTPError, contentBegan);
  }
}

function refusal(error: SMTPConnection.SMTPError, contentBegan: boolean): HandOver {
  const code = error.responseCode;
  const words = error.response ?? error.message;
  if (code && code >= 500) return { result: 'never', words };
  if (code && code >= 400) return { result: 'later', words };
  if (error.code === 'EENVELOPE') return { result: 'never', words };
  return { result: contentBegan ? 'unknown' : 'later', words };
}

function once(begin: (done: (error?: Error | null) => void) => void): Promise<void> {
  return new Promise((resolve, reject) => begin((error) => (error ? reject(error) : resolve())));
}

import type { Bearer } from './bearer';

/** A server that letters are handed over to (RFC 5321). */
export interface MailServer {
  host: string;
  port: number;
  /** TLS from the start */
  secure: boolean;
  /** nothing is said to a server that offers no TLS: neither a password nor a letter */
  requireTLS: boolean;
  /** TLS is not used though it is offered */
  ignoreTLS: boolean;
  /** it has to be out on the internet: nobody reaches this machine or its network by it */
  publicOnly?: boolean;
  credentials?: { user: string; pass: string };
  /** or what its provider gave to sign in with */
  bearer?: Bearer;
}

/**
 * The server that SMTP_URL names: smtp://[name:password@]host:port, or smtps:// for TLS from the start. One that is not on
 * this machine has to offer TLS, unless the address ends with ?tls=none.
 * @throws Error with a sentence when the URL is none of these
 */
export function readMailServer(url: string): MailServer {
  if (!URL.canParse(url) || !/^smtps?:$/.test(new URL(url).protocol)) {
    throw new Error('SMTP_URL begins with smtp:// or smtps://, as smtp://127.0.0.1:25.');
  }
  const { protocol, hostname, port, username, password, searchParams } = new URL(url);
  // On loopback there is nobody between us and the server.
  const here = /^(?:localhost|127(?:\.\d+){3}|\[?::1\]?)$/.test(hostname);
  const secure = protocol === 'smtps:';
  return {
    host: hostname.replace(/^\[|\]$/g, ''),
    port: Number(port) || (secure ? 465 : 587),
    secure,
    requireTLS: !secure && !here && searchParams.get('tls') !== 'none',
    ignoreTLS: here,
    ...(username
      ? { credentials: { user: decodeURIComponent(username), pass: decodeURIComponent(password) } }
      : {}),
  };
}

import { Parser } from 'htmlparser2';
import type { KindOfAccount } from '../../core/contract/records/mailAccount';

/** How a server is reached, as it is told for a mail address. */
export interface GuessedServer {
  host: string;
  port: number;
  security: 'tls' | 'starttls';
  /** whoever signs in */
  user_name: string;
}

const SECURITY: Readonly<Record<string, GuessedServer['security']>> = { SSL: 'tls', STARTTLS: 'starttls' };

/** What is read of such a file: the element, and the protocol. */
const SERVERS = {
  sending: { element: 'outgoingServer', protocol: 'smtp' },
  mailbox: { element: 'incomingServer', protocol: 'imap' },
} as const;

/**
 * Reads the servers for outgoing mail, or of mailboxes, that an autoconfig file names (clientConfig 1.1), those first that it prefers; what is
 * without TLS, or not whole, is left out.
 * @param address whose mail it is for: its parts stand for the marks in the file
 */
export function readAutoconfig(xml: string, address: string, kind: KindOfAccount): GuessedServer[] {
  const { element, protocol } = SERVERS[kind];
  const found: GuessedServer[] = [];
  let server: Record<string, string> | undefined;
  let words = '';
  const parser = new Parser(
    {
      onopentag(name, { type }) {
        if (name === element && type === protocol) server = {};
        words = '';
      },
      ontext(text) {
        if (words.length < 300) words += text;
      },
      onclosetag(name) {
        if (!server) return;
        // The first of several is the one that is preferred.
        if (name !== element) return void (server[name] ??= filled(words.trim(), address));
        const { hostname = '', port = '', socketType = '', username = address } = server;
        const security = SECURITY[socketType];
        if (/^[\w.-]{1,253}$/.test(hostname) && /^\d{1,5}$/.test(port) && security)
          found.push({ host: hostname, port: Number(port), security, user_name: username });
        server = undefined;
      },
    },
    { xmlMode: true, decodeEntities: true },
  );
  parser.end(xml);
  return found;
}

function filled(words: string, address: string): string {
  const at = address.lastIndexOf('@');
  return words
    .replaceAll('%EMAILADDRESS%', address)
    .replaceAll('%EMAILLOCALPART%', address.slice(0, at))
    .replaceAll('%EMAILDOMAIN%', address.slice(at + 1));
}

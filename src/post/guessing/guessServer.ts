import { Resolver } from 'node:dns/promises';
import { domainOf } from '../../core/addressing/addresses';
import type { KindOfAccount } from '../../core/contract/records/mailAccount';
import { askWeb } from '../askWeb';
import { readAutoconfig, type GuessedServer } from './readAutoconfig';

/** Whom it asks. */
export interface Asked {
  /** the servers that a service has among the names of a domain (RFC 2782) */
  services: (name: string) => Promise<{ name: string; port: number; priority: number; weight: number }[]>;
  /** a small file */
  file: (url: URL) => Promise<string | undefined>;
}

/** Services of mail, the preferred first (RFC 8314, RFC 6186). */
const SERVICES = {
  sending: [
    ['_submissions._tcp', 'tls'],
    ['_submission._tcp', 'starttls'],
  ],
  mailbox: [
    ['_imaps._tcp', 'tls'],
    ['_imap._tcp', 'starttls'],
  ],
} as const;

const LARGEST_FILE = 64 * 1024;

const NETWORK: Asked = {
  services: (name) => new Resolver({ timeout: 2000, tries: 2 }).resolveSrv(name),
  file: async (url) => {
    const { status, text } = await askWeb(url, { most: LARGEST_FILE, publicOnly: true });
    return status === 200 ? text : undefined;
  },
};

/**
 * Looks up by which server mail from an address leaves, or where its mailbox is: what its domain says among its names (RFC 6186), else in an
 * autoconfig file.
 * @returns undefined where neither says anything, or nobody answers
 */
export async function guessServer(
  address: string,
  kind: KindOfAccount,
  asked: Asked = NETWORK,
): Promise<GuessedServer | undefined> {
  const domain = domainOf(address);
  const services = await Promise.all(
    SERVICES[kind].map(async ([service, security]) => {
      const found = await asked.services(`${service}.${domain}`).catch(() => []);
      // “.” says that there is none.
      const [first] = found
        .filter(({ name }) => /^[\w.-]*\w\.?$/.test(name))
        .sort((a, b) => a.priority - b.priority || b.weight - a.weight);
      return first && { host: first.name.replace(/\.$/, ''), port: first.port, security, user_name: address };
    }),
  );
  const told = services.find((one) => one !== undefined);
  if (told) return told;
  const files = [
    `https://autoconfig.${domain}/mail/config-v1.1.xml?emailaddress=${encodeURIComponent(address)}`,
    `https://${domain}/.well-known/autoconfig/mail/config-v1.1.xml`,
  ];
  for (const url of files) {
    const text = URL.canParse(url) ? await asked.file(new URL(url)).catch(() => undefined) : undefined;
    const [first] = text === undefined ? [] : readAutoconfig(text, address, kind);
    if (first) return first;
  }
  return undefined;
}

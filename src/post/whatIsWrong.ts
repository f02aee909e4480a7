import type { MailServer } from './mailServer';

/** What is wrong with how a server is reached, at the fact of an account that it lies with. */
export interface Wrong {
  field: 'host' | 'port' | 'security' | 'sign_in' | 'user_name' | 'secret' | 'senders';
  words: string;
}

/** What a failed conversation tells (nodemailer's errors, or one answer of a server). */
export interface Failure {
  message?: string;
  /** what kind of failure, and, where it came from below, of which */
  code?: string;
  originalCode?: string;
  /** at which command */
  command?: string;
  responseCode?: number;
  response?: string;
  /** the address that it was about */
  address?: string;
}

/** What the network says of a server, by its code. */
const NETWORK: Readonly<Record<string, (server: MailServer & { mostly: string }) => Wrong>> = {
  ENOTFOUND: ({ host }) => at('host', `There is no server called ${host}. See how your provider writes it.`),
  EAI_AGAIN: ({ host }) =>
    at('host', `${host} cannot be looked up at the moment. Is this machine connected? Try again soon.`),
  NOT_PUBLIC: ({ host }) =>
    at('host', `${host} leads into the network of this application. It has to be out on the internet.`),
  ECONNREFUSED: ({ host, port, mostly }) =>
    at('port', `Nothing answers at port ${port} of ${host}. Providers mostly mean ${mostly}.`),
  ECONNRESET: ({ port, mostly }) =>
    at('port', `The server hangs up at port ${port}. Providers mostly mean ${mostly}.`),
  EHOSTUNREACH: ({ host }) => at('host', `The network does not reach ${host} from here.`),
  ENETUNREACH: ({ host }) => at('host', `The network does not reach ${host} from here.`),
  CERT_HAS_EXPIRED: ({ host }) =>
    at('host', `The certificate of ${host} has run out: it may not be who it says. Ask your provider.`),
  CERT_NOT_YET_VALID: ({ host }) =>
    at('host', `The certificate of ${host} does not hold yet. Is the clock of this machine right?`),
  ERR_TLS_CERT_ALTNAME_INVALID: ({ host }) =>
    at(
      'host',
      `The server has a certificate, but not for the name ${host}. See how your provider writes it.`,
    ),
  DEPTH_ZERO_SELF_SIGNED_CERT: unknownIssuer,
  SELF_SIGNED_CERT_IN_CHAIN: unknownIssuer,
  UNABLE_TO_VERIFY_LEAF_SIGNATURE: unknownIssuer,
  UNABLE_TO_GET_ISSUER_CERT_LOCALLY: unknownIssuer,
};

/** The ports that providers mostly have for mail that goes out (RFC 8314). */
const PORTS = { tls: 465, starttls: 587 };

/** Says what is wrong with a server that a letter could not be handed to. @param ports those of such servers */
export function whatIsWrong(failure: Failure, server: MailServer, ports = PORTS): Wrong {
  const { code = '', originalCode = code, command = '', responseCode = 0, message = '' } = failure;
  const network = NETWORK[originalCode] ?? NETWORK[code];
  const mostly = `${ports.tls} or ${ports.starttls}`;
  if (network && !responseCode) return network({ ...server, mostly });
  const said = saidBy(failure);
  if (/wrong version number|\bEPROTO\b|packet length too long/i.test(`${originalCode} ${message}`))
    return at(
      'security',
      `Port ${server.port} does not begin with TLS. Choose “after the greeting”, or port ${ports.tls}.`,
    );
  if (command === 'STARTTLS' || (code === 'ETLS' && !responseCode) || /STARTTLS/.test(message))
    return at(
      'security',
      `The server offers no TLS at port ${server.port}. Choose “from the start” with port ${ports.tls}, or ask your provider.${said}`,
    );
  if (code === 'ETIMEDOUT') return noAnswer(server, message, ports, mostly);
  if (command.startsWith('AUTH') || code === 'EAUTH')
    return server.bearer ? notByProvider(message, said) : notSignedIn(responseCode, said);
  if (/^MAIL/.test(command)) return noSender(failure, said);
  if (/^RCPT/.test(command))
    return at('senders', `It refuses a letter from ${failure.address} to that very address.${said}`);
  return at('host', `The server does not want to talk.${said || ` ${message}`}`);
}

function at(field: Wrong['field'], words: string): Wrong {
  return { field, words };
}

function saidBy({ response }: Failure): string {
  return response ? ` It said: ${response.slice(0, 500)}` : '';
}

function unknownIssuer({ host }: MailServer): Wrong {
  return at('host', `Nobody who is trusted here vouches for the certificate of ${host}. Ask your provider.`);
}

function noAnswer(
  { host, port, secure }: MailServer,
  message: string,
  { tls }: typeof PORTS,
  mostly: string,
): Wrong {
  if (/greeting/i.test(message) && !secure)
    return at(
      'security',
      `Port ${port} of ${host} says nothing. If that is ${tls}, choose TLS “from the start”.`,
    );
  return at(
    'port',
    `Port ${port} of ${host} does not answer. Many networks let nothing through to port 25; providers mostly mean ${mostly}.`,
  );
}

function notSignedIn(responseCode: number, said: string): Wrong {
  if (responseCode === 534)
    return at(
      'secret',
      `The provider wants a password that is made for programs; their help says where.${said}`,
    );
  if (responseCode === 535)
    return at(
      'secret',
      `The server does not take this name with this password. Some providers want a password that is made for programs.${said}`,
    );
  if (responseCode >= 400 && responseCode < 500)
    return at('secret', `The server signs nobody in at the moment. Try again in some minutes.${said}`);
  return at('sign_in', `The server does not let anybody sign in in this way here.${said}`);
}

function notByProvider(message: string, said: string): Wrong {
  return at(
    'sign_in',
    `The mail server does not take what the provider gave. Does it lead to the same mailbox?${said || ` ${message}`}`,
  );
}

function noSender({ address, responseCode = 0 }: Failure, said: string): Wrong {
  if (responseCode === 530 || responseCode === 503)
    return at('sign_in', `The server takes letters from whoever has signed in.${said}`);
  if (responseCode < 500)
    return at('senders', `It takes no letters from ${address} at the moment. Try again soon.${said}`);
  return at(
    'senders',
    `It takes no letters from ${address}. Ask your provider to let this account send for it.${said}`,
  );
}

import { isIP } from 'node:net';
import { ImapFlow, type ImapFlowOptions } from 'imapflow';
import type { MailServer } from '../mailServer';
import { publicAddress } from '../publicAddress';

const CONNECT_MILLISECONDS = 15_000;
const SILENCE_MILLISECONDS = 5 * 60_000;

/** No part of an answer has more bytes: a message is asked for in no more. */
const LARGEST_PART = 64_000_000;

/**
 * Connects to a server of mailboxes (RFC 3501, RFC 9051), with TLS as it is wanted, and signs in. Whoever has it logs it out, and hears
 * its “error” and “close”.
 * @throws ImapFlowError, or what publicAddress throws
 */
export async function openMailbox(server: MailServer): Promise<ImapFlow> {
  const { host, port, secure, requireTLS, publicOnly, credentials, bearer } = server;
  const address = publicOnly ? await publicAddress(host) : host;
  const options: ImapFlowOptions = {
    host: address,
    port,
    secure,
    ...(secure ? {} : { doSTARTTLS: requireTLS }),
    // Its certificate is that of its name.
    ...(isIP(host) ? {} : { servername: host }),
    logger: false,
    disableAutoIdle: true,
    disableCompression: true,
    clientInfo: { name: 'Fair Quill' },
    connectionTimeout: CONNECT_MILLISECONDS,
    greetingTimeout: CONNECT_MILLISECONDS,
    socketTimeout: SILENCE_MILLISECONDS,
    maxIdleTime: SILENCE_MILLISECONDS - 60_000,
    maxLiteralSize: LARGEST_PART,
    maxLineLength: 16_000_000,
    maxResponseSize: LARGEST_PART + 1_000_000,
  };
  if (!bearer) return connect({ ...options, auth: { user: credentials!.user, pass: credentials!.pass } });
  const { user, token } = bearer;
  try {
    return await connect({ ...options, auth: { user, accessToken: await token(false) } });
  } catch (error) {
    if (!(error as { authenticationFailed?: boolean }).authenticationFailed) throw error;
    return connect({ ...options, auth: { user, accessToken: await token(true) } });
  }
}

async function connect(options: ImapFlowOptions): Promise<ImapFlow> {
  const client = new ImapFlow(options);
  // What goes wrong is thrown where something is asked of it.
  client.on('error', () => undefined);
  try {
    await client.connect();
  } catch (error) {
    client.close();
    throw error;
  }
  return client;
}

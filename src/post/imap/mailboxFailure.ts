import type { ImapFlowError } from 'imapflow/lib/errors.js';
import type { MailServer } from '../mailServer';
import { whatIsWrong, type Failure, type Wrong } from '../whatIsWrong';

/** The ports that providers mostly have for mailboxes (RFC 8314). */
const PORTS = { tls: 993, starttls: 143 };

/** What a server says when it will take the name and the password another time (RFC 5530). */
const AT_ANOTHER_TIME = new Set(['UNAVAILABLE', 'INUSE', 'LIMIT', 'SERVERBUG']);

const AS_WHEN_SENDING: Readonly<Record<string, Partial<Failure>>> = {
  CONNECT_TIMEOUT: { code: 'ETIMEDOUT', message: 'connection' },
  GREETING_TIMEOUT: { code: 'ETIMEDOUT', message: 'greeting' },
  UPGRADE_TIMEOUT: { code: 'ETIMEDOUT', message: 'greeting' },
  NoConnection: { code: 'ECONNRESET' },
  EConnectionClosed: { code: 'ECONNRESET' },
  ClosedAfterConnectText: { code: 'ECONNRESET' },
  ClosedAfterConnectTLS: { code: 'ECONNRESET' },
};

/** Says what is wrong with a mailbox that could not be opened, by what the library throws. */
export function mailboxFailure(error: unknown, server: MailServer): Wrong {
  const failed = error as ImapFlowError;
  const { code = '', message, authenticationFailed, serverResponseCode = '', tlsFailed } = failed;
  const said = typeof failed.response === 'string' ? failed.response : failed.responseText;
  const failure: Failure = authenticationFailed
    ? {
        command: 'AUTH',
        responseCode: AT_ANOTHER_TIME.has(serverResponseCode) ? 454 : 535,
        ...(said === undefined ? {} : { response: said }),
        message,
      }
    : {
        code,
        message,
        ...(tlsFailed && !/CERT|SIGN/.test(code) ? { command: 'STARTTLS' } : {}),
        ...AS_WHEN_SENDING[code],
      };
  return whatIsWrong(failure, server, PORTS);
}

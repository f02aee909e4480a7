import type { MailAccount } from '../../data/repositories/accounts/mailAccounts';
import type { Bearer } from '../../post/bearer';
import type { MailServer } from '../../post/mailServer';

/** What somebody signs in with: a password, or what gives the token of now. */
export type SigningIn = { password?: string | undefined } | { token: Bearer['token'] };

/** The server of an account. */
export function serverOf(
  { host, port, security, user_name }: Pick<MailAccount, 'host' | 'port' | 'security' | 'user_name'>,
  signingIn: SigningIn,
): MailServer {
  const server = {
    host,
    port,
    secure: security === 'tls',
    requireTLS: security === 'starttls',
    ignoreTLS: security === 'none',
    publicOnly: isPublicOnly(),
  };
  if (user_name === null) return server;
  if ('token' in signingIn) return { ...server, bearer: { user: user_name, token: signingIn.token } };
  const { password } = signingIn;
  return password === undefined ? server : { ...server, credentials: { user: user_name, pass: password } };
}

/** Whoever writes an account must not reach what is around the application by it, unless that was settled when it was started. */
export function isPublicOnly(): boolean {
  return process.env.MAIL_SERVERS !== 'any';
}

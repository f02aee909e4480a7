import { createHash, randomBytes } from 'node:crypto';
import { number, object, string } from 'yup';
import { askWeb } from '../askWeb';
import { ProviderRefuses, type Provider } from './provider';

/** What a program sends mail with in a person's name, and how it gets another. */
export interface Tokens {
  access_token: string;
  /** milliseconds since 1970 */
  expires_at: number;
  refresh_token?: string | undefined;
}

/** A program as a provider knows it. */
export interface ProviderClient {
  client_id: string;
  /** some providers give one to programs, too */
  client_secret?: string | undefined;
}

/** What is kept while somebody signs in there. */
export interface Begun {
  /** where they go */
  to: string;
  /** comes back with them: it is this signing in (RFC 6749, 10.12) */
  state: string;
  /** shows that whoever began it ends it (PKCE, RFC 7636) */
  verifier: string;
}

/** Begins to sign somebody in at a provider. @param redirect where they come back to */
export function beginSignIn(
  { authorization }: Provider,
  { client_id, scope, redirect, user }: { client_id: string; scope: string; redirect: string; user: string },
): Begun {
  const [state, verifier] = [randomBytes(24).toString('base64url'), randomBytes(48).toString('base64url')];
  const to = new URL(authorization);
  for (const [name, value] of Object.entries({
    response_type: 'code',
    client_id,
    redirect_uri: redirect,
    scope,
    state,
    code_challenge: createHash('sha256').update(verifier).digest('base64url'),
    code_challenge_method: 'S256',
    login_hint: user,
    // Some give what renews only when it is asked for in these words.
    access_type: 'offline',
    prompt: 'consent',
  }))
    to.searchParams.set(name, value);
  return { to: to.href, state, verifier };
}

/** Exchanges the code that somebody came back with. @throws ProviderRefuses */
export function exchangeCode(
  provider: Provider,
  client: ProviderClient,
  { code, verifier, redirect }: { code: string; verifier: string; redirect: string },
  publicOnly: boolean,
): Promise<Tokens> {
  return askForTokens(
    provider,
    client,
    { grant_type: 'authorization_code', code, code_verifier: verifier, redirect_uri: redirect },
    publicOnly,
  );
}

/** Gets another token; where the provider gives no other way to renew, the one that it was done by stays. @throws ProviderRefuses */
export async function renewTokens(
  provider: Provider,
  client: ProviderClient,
  { refresh_token }: Tokens,
  publicOnly: boolean,
): Promise<Tokens> {
  if (refresh_token === undefined)
    throw new ProviderRefuses('The signing in at the provider is over. Sign in again in Settings.');
  const tokens = await askForTokens(
    provider,
    client,
    { grant_type: 'refresh_token', refresh_token },
    publicOnly,
  );
  return { refresh_token, ...tokens };
}

const ANSWER = object({
  access_token: string().required().max(20_000),
  expires_in: number().min(1),
  refresh_token: string().max(20_000),
});
const REFUSAL = object({ error: string().required(), error_description: string() });

const LARGEST = 64 * 1024;
/** Where a provider does not say how long a token is good, in seconds. */
const USUALLY = 3600;

async function askForTokens(
  { token, issuer }: Provider,
  { client_id, client_secret }: ProviderClient,
  grant: Record<string, string>,
  publicOnly: boolean,
): Promise<Tokens> {
  const form = { ...grant, client_id, ...(client_secret ? { client_secret } : {}) };
  const asked = Date.now();
  const answer = await askWeb(new URL(token), { most: LARGEST, form, publicOnly }).catch((error: Error) => {
    throw new ProviderRefuses(`${issuer} cannot be asked: ${error.message}`);
  });
  let said: unknown;
  try {
    said = JSON.parse(answer.text);
  } catch {
    throw new ProviderRefuses(`${issuer} does not answer properly.`);
  }
  if (answer.status === 200 && ANSWER.isValidSync(said)) {
    const { access_token, expires_in = USUALLY, refresh_token } = ANSWER.cast(said);
    return {
      access_token,
      expires_at: asked + expires_in * 1000,
      ...(refresh_token ? { refresh_token } : {}),
    };
  }
  const { error, error_description = '' } = REFUSAL.isValidSync(said) ? REFUSAL.cast(said) : { error: '' };
  if (error === 'invalid_grant')
    throw new ProviderRefuses('The provider has ended the signing in. Sign in again in Settings.');
  throw new ProviderRefuses(`${issuer} refuses. ${error} ${error_description}`.trim().slice(0, 300));
}

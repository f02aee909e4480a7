import { object, string } from 'yup';
import { askWeb } from '../askWeb';

/** Where a provider signs people in, and where it gives what programs send mail with (RFC 6749). */
export interface Provider {
  /** as its owner writes it, without the last slash */
  issuer: string;
  authorization: string;
  token: string;
}

/** A provider could not be asked, or refuses; the message says so. */
export class ProviderRefuses extends Error {}

/** What a provider says of itself (RFC 8414). */
const METADATA = object({
  issuer: string().required(),
  authorization_endpoint: string().required(),
  token_endpoint: string().required(),
});

const LARGEST = 128 * 1024;

/**
 * Asks a provider where it signs people in: by the authorization server's own description (RFC 8414), else by the one for OpenID.
 * @throws ProviderRefuses in words
 */
export async function findProvider(issuer: string, publicOnly: boolean): Promise<Provider> {
  const asked = issuer.replace(/\/$/, '');
  if (!URL.canParse(asked)) throw new ProviderRefuses('This is no address of a provider.');
  const { origin, pathname } = new URL(asked);
  const path = pathname === '/' ? '' : pathname;
  let why = '';
  for (const place of [
    `${origin}/.well-known/oauth-authorization-server${path}`,
    `${asked}/.well-known/openid-configuration`,
  ]) {
    try {
      const { status, text } = await askWeb(new URL(place), { most: LARGEST, publicOnly });
      if (status !== 200) continue;
      const said = METADATA.validateSync(JSON.parse(text), { strict: true });
      // Another's description would lead to another's pages.
      if (said.issuer.replace(/\/$/, '') !== asked) continue;
      return { issuer: asked, authorization: said.authorization_endpoint, token: said.token_endpoint };
    } catch (error) {
      why = ` ${(error as Error).message}`;
    }
  }
  throw new ProviderRefuses(`${asked} does not say where people sign in.${why}`.slice(0, 300));
}

import type { Database } from '../../data/database';
import type { KindOfAccount } from '../../core/contract/records/mailAccount';
import { accountOfId, keepSecret, type AccountKey } from '../../data/repositories/accounts/mailAccounts';
import { renewTokens } from '../../post/oauth/tokens';
import { NoKey } from '../sealing/keyring';
import { openProviderSecret, sealProviderSecret } from './providerSecret';
import { isPublicOnly } from './serverOf';

/** What will be good for less than this is renewed, in milliseconds. */
const SOON = 60_000;

/**
 * What somebody signs in with to an account now; renewed by one process at a time, as some providers give the means to renew once.
 * @param anew what was good by the clock was not taken
 * @throws ProviderRefuses, NoKey
 */
export async function freshToken(
  database: Database,
  kind: KindOfAccount,
  key: AccountKey,
  anew: boolean,
  before?: string,
): Promise<string> {
  return database.inTransaction(async () => {
    const account = await accountOfId(database, kind, key, { lock: true });
    if (!account?.provider || !account.secret) throw new NoKey('This account was changed a moment ago.');
    const secret = openProviderSecret(account.secret, account);
    // Another worker may have renewed it since.
    const isGood = secret.expires_at > Date.now() + SOON && (!anew || secret.access_token !== before);
    if (isGood) return secret.access_token;
    const client = { client_id: account.provider.client_id, client_secret: secret.client_secret };
    const tokens = await renewTokens(account.provider, client, secret, isPublicOnly());
    await keepSecret(database, kind, key, sealProviderSecret({ ...secret, ...tokens }, account));
    return tokens.access_token;
  });
}

import type { KindOfAccount } from '../../core/contract/records/mailAccount';
import type { Database } from '../../data/database';
import type { MailAccount } from '../../data/repositories/accounts/mailAccounts';
import { unseal } from '../sealing/seal';
import { freshToken } from './freshToken';
import type { SigningIn } from './serverOf';

/** What one signs in with to an account that is kept. @throws NoKey where its secret cannot be opened */
export function signingInTo(
  database: Database,
  kind: KindOfAccount,
  { business_id, id, sign_in, secret }: Pick<MailAccount, 'business_id' | 'id' | 'sign_in' | 'secret'>,
): SigningIn {
  if (sign_in !== 'provider')
    return { password: secret === null ? undefined : unseal(secret, { business_id, name: id }) };
  let last: string | undefined;
  return {
    token: async (anew) => (last = await freshToken(database, kind, { business_id, id }, anew, last)),
  };
}

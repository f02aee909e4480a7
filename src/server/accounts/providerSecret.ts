import type { MailAccount } from '../../data/repositories/accounts/mailAccounts';
import type { Tokens } from '../../post/oauth/tokens';
import { seal, unseal } from '../sealing/seal';

/** What a provider gave, and what it knows this application by. */
export interface ProviderSecret extends Tokens {
  client_secret?: string | undefined;
}

type Whose = Pick<MailAccount, 'business_id' | 'id'>;

/** Seals what a provider gave. @throws NoKey */
export function sealProviderSecret(secret: ProviderSecret, { business_id, id }: Whose): Buffer {
  return seal(JSON.stringify(secret), { business_id, name: id });
}

/** Opens it again. @throws NoKey */
export function openProviderSecret(sealed: Buffer, { business_id, id }: Whose): ProviderSecret {
  return JSON.parse(unseal(sealed, { business_id, name: id })) as ProviderSecret;
}

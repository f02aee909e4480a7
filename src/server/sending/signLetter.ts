import { domainOf } from '../../core/addressing/addresses';
import type { Database } from '../../data/database';
import type { OutgoingLetter } from '../../data/repositories/sending/outgoing';
import { signingKey } from '../../data/repositories/sending/signingKeys';
import { signed } from '../../post/signing';
import { unseal } from '../sealing/seal';

/** Signs a letter with the key of the domain that it comes from. @throws NoKey where that cannot be opened */
export async function signLetter(
  database: Database,
  { business_id, from_address }: Pick<OutgoingLetter, 'business_id' | 'from_address'>,
  message: Buffer,
): Promise<Buffer> {
  const domain = domainOf(from_address);
  const key = await signingKey(database, { business_id, domain });
  // It was taken out a moment ago.
  if (!key) return message;
  const privateKey = unseal(key.private_key, { business_id, name: domain });
  return signed(message, { domain, selector: key.selector, privateKey });
}

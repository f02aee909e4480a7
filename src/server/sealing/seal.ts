import { createCipheriv, createDecipheriv, randomBytes } from 'node:crypto';
import { keyring, NoKey, type SealingKey } from './keyring';

/** Whose a secret is: sealed for one, it opens for no other. */
export interface Whose {
  business_id: string;
  name: string;
}

const CIPHER = 'aes-256-gcm';
/** The first byte tells how the rest is made. */
const FORM = 1;
const [ID, NONCE, TAG] = [4, 12, 16];

/** Seals a secret (AES-256-GCM, NIST SP 800-38D): form, id of the key, nonce, tag, what was sealed. @throws NoKey */
export function seal(secret: string, whose: Whose, [key]: [SealingKey, ...SealingKey[]] = keyring()): Buffer {
  const nonce = randomBytes(NONCE);
  const cipher = createCipheriv(CIPHER, key.key, nonce).setAAD(about(whose));
  const sealed = Buffer.concat([cipher.update(secret, 'utf8'), cipher.final()]);
  return Buffer.concat([Buffer.of(FORM), key.id, nonce, cipher.getAuthTag(), sealed]);
}

/** Opens what was sealed. @throws NoKey where it was sealed with a key that is not here, for another, or was changed since */
export function unseal(sealed: Buffer, whose: Whose, keys: readonly SealingKey[] = keyring()): string {
  const parts = [1, 1 + ID, 1 + ID + NONCE, 1 + ID + NONCE + TAG] as const;
  const key = keys.find(({ id }) => sealed.subarray(parts[0], parts[1]).equals(id));
  if (sealed[0] !== FORM || !key) throw new NoKey(CANNOT);
  const cipher = createDecipheriv(CIPHER, key.key, sealed.subarray(parts[1], parts[2]))
    .setAAD(about(whose))
    .setAuthTag(sealed.subarray(parts[2], parts[3]));
  try {
    return cipher.update(sealed.subarray(parts[3]), undefined, 'utf8') + cipher.final('utf8');
  } catch {
    throw new NoKey(CANNOT);
  }
}

const CANNOT =
  'The password of the sending account cannot be read with the key that is here. Write it anew in Settings.';

function about({ business_id, name }: Whose): Buffer {
  return Buffer.from(`${business_id} ${name}`);
}

import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';

/** What secrets are sealed with: 256 bits. */
export interface SealingKey {
  /** four bytes by which it is known, which tell nothing of it */
  id: Buffer;
  key: Buffer;
}

/** There is no key, or none that can be used; the message says what to do. */
export class NoKey extends Error {}

/**
 * The keys of this application: the first seals, and all of them open. They stand in SEALING_KEY, or in the file that
 * SEALING_KEY_FILE names; read each time, as the file may be another by now.
 * @throws NoKey
 */
export function keyring(environment: NodeJS.ProcessEnv = process.env): [SealingKey, ...SealingKey[]] {
  const { SEALING_KEY, SEALING_KEY_FILE } = environment;
  const [first, ...others] = (SEALING_KEY || read(SEALING_KEY_FILE))
    .split(/[\s,]+/)
    .filter(Boolean)
    .map(keyOf);
  if (!first) throw new NoKey('There is no key that passwords are sealed with: set SEALING_KEY.');
  return [first, ...others];
}

function read(file: string | undefined): string {
  try {
    return file ? readFileSync(file, 'utf8') : '';
  } catch {
    throw new NoKey(`The file of the key that passwords are sealed with cannot be read: ${file}`);
  }
}

function keyOf(text: string): SealingKey {
  const key = Buffer.from(text, 'base64');
  if (key.length !== 32)
    throw new NoKey('A sealing key is 32 bytes in base64, as `openssl rand -base64 32` makes one.');
  return { id: createHash('sha256').update(key).digest().subarray(0, 4), key };
}

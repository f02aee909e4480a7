import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';

const derive = promisify(scrypt) as (
  password: string,
  salt: Buffer,
  length: number,
  options: { N: number; r: number; p: number; maxmem: number },
) => Promise<Buffer>;

const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 2 ** 20 };

/** Hashes a password by scrypt (RFC 7914), as "scrypt$N$r$p$salt$hash". */
export async function hashPassword(password: string, salt = randomBytes(16)): Promise<string> {
  const hash = await derive(password.normalize('NFKC'), salt, 32, COST);
  return ['scrypt', COST.N, COST.r, COST.p, salt.toString('base64url'), hash.toString('base64url')].join('$');
}

/** Whether a password is the one that was hashed. A hash of another form is never matched. */
export async function matchesPassword(password: string, stored: string): Promise<boolean> {
  const [form, n, r, p, salt, hash] = stored.split('$');
  if (form !== 'scrypt' || !salt || !hash) return false;
  const options = { N: Number(n), r: Number(r), p: Number(p), maxmem: COST.maxmem };
  const found = await derive(password.normalize('NFKC'), Buffer.from(salt, 'base64url'), 32, options);
  return timingSafeEqual(found, Buffer.from(hash, 'base64url'));
}

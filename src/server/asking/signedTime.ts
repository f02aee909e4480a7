import { createHmac, timingSafeEqual } from 'node:crypto';

/** A form is filled in no less than so many milliseconds by a person, and no later than so many after it was given out. */
const SOONEST = 3_000;
const LATEST = 24 * 3_600_000;

/** A moment and an id that only this business's form can have given out: "<ms>.<uuid>.<signature>". */
export function signTime(secret: string, at: number, id: string): string {
  return `${at}.${id}.${signatureOf(secret, `${at}.${id}`)}`;
}

/** Reads one again: the id, or what is wrong with it. */
export function readTime(
  secret: string,
  text: string,
  now: number,
): { id: string } | 'forged' | 'soon' | 'late' {
  const read = /^(\d{10,16})\.([0-9a-f-]{36})\.([\w-]{43})$/.exec(text);
  if (!read) return 'forged';
  const [, at = '', id = '', given = ''] = read;
  const right = signatureOf(secret, `${at}.${id}`);
  if (!timingSafeEqual(Buffer.from(given), Buffer.from(right))) return 'forged';
  const age = now - Number(at);
  if (age < SOONEST) return 'soon';
  return age > LATEST ? 'late' : { id };
}

function signatureOf(secret: string, text: string): string {
  return createHmac('sha256', secret).update(text).digest('base64url');
}

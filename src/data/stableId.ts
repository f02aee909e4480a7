import { createHash } from 'node:crypto';

/** The same UUID for the same words, so that loading the data twice gives the same rows (after RFC 9562, version 8). */
export function stableId(...words: string[]): string {
  const hash = createHash('sha256').update(words.join('\u0000')).digest();
  hash[6] = (hash[6]! & 0x0f) | 0x80;
  hash[8] = (hash[8]! & 0x3f) | 0x80;
  const hex = hash.toString('hex');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20, 32)].join(
    '-',
  );
}

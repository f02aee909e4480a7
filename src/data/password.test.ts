import { expect, it } from 'vitest';
import { hashPassword, matchesPassword } from './password';

it('a password matches its own hash and no other does', async () => {
  const hash = await hashPassword('Söng of the lark');
  expect(hash).toMatch(/^scrypt\$32768\$8\$1\$/);
  expect(await matchesPassword('Söng of the lark', hash)).toBe(true);
  // The same word, its letters composed otherwise.
  expect(await matchesPassword('So\u0308ng of the lark', hash)).toBe(true);
  expect(await matchesPassword('Song of the lark', hash)).toBe(false);
  expect(await matchesPassword('', hash)).toBe(false);
});

it('two hashes of one password differ, and what is no hash matches nothing', async () => {
  expect(await hashPassword('x')).not.toBe(await hashPassword('x'));
  for (const stored of ['', 'x', 'md5$1$2$3$4$5', 'scrypt$32768$8$1$$'])
    expect(await matchesPassword('x', stored)).toBe(false);
});

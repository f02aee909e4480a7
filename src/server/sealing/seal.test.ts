import { randomBytes } from 'node:crypto';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect, it } from 'vitest';
import { keyring } from './keyring';
import { seal, unseal } from './seal';

const newKey = () => randomBytes(32).toString('base64');
const [one, other] = [newKey(), newKey()];
const ring = (...keys: string[]) => keyring({ SEALING_KEY: keys.join(',') } as never);
const WHOSE = { business_id: 'larkfield', name: 'account' };

it('what is sealed opens again, and looks each time different', () => {
  const sealed = seal('open, Sesame ü', WHOSE, ring(one));
  expect(unseal(sealed, WHOSE, ring(one))).toBe('open, Sesame ü');
  expect(sealed.includes('Sesame')).toBe(false);
  expect(seal('open, Sesame ü', WHOSE, ring(one)).equals(sealed)).toBe(false);
});

it('another key is put first, and the one before still opens', () => {
  const sealed = seal('a password', WHOSE, ring(one));
  expect(unseal(sealed, WHOSE, ring(other, one))).toBe('a password');
  expect(() => unseal(sealed, WHOSE, ring(other))).toThrow('cannot be read with the key that is here');
});

it('opens for nobody else, and not when a bit of it is another', () => {
  const sealed = seal('a password', WHOSE, ring(one));
  expect(() => unseal(sealed, { ...WHOSE, business_id: 'another' }, ring(one))).toThrow('cannot be read');
  expect(() => unseal(sealed, { ...WHOSE, name: 'another' }, ring(one))).toThrow('cannot be read');
  for (let at = 0; at < sealed.length; at++) {
    const changed = Buffer.from(sealed);
    changed[at]! ^= 1;
    expect(() => unseal(changed, WHOSE, ring(one)), `byte ${at}`).toThrow('cannot be read');
  }
  for (const length of [0, 1, 4, 20, 32])
    expect(() => unseal(sealed.subarray(0, length), WHOSE, ring(one)), `${length} bytes`).toThrow();
});

it('is kept in a file, a line each, or said in the environment', () => {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'key-')), 'sealing.key');
  writeFileSync(file, `${one}\n${other}\n`);
  expect(keyring({ SEALING_KEY_FILE: file } as never)).toHaveLength(2);
  expect(() => keyring({} as never)).toThrow('set SEALING_KEY');
  expect(() => keyring({ SEALING_KEY_FILE: `${file}.gone` } as never)).toThrow('cannot be read');
  expect(() => keyring({ SEALING_KEY: 'short' } as never)).toThrow('32 bytes');
});

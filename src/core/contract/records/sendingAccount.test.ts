import { describe, expect, it } from 'vitest';
import { NO_ACCOUNT, SENDING_ACCOUNT, shownAccount } from './sendingAccount';

const GOOD = { ...NO_ACCOUNT, host: 'smtp.house.example', user_name: 'ada@house.example', secret: 'x' };
const wrong = async (facts: object) =>
  SENDING_ACCOUNT.validate({ ...GOOD, ...facts }, { abortEarly: false }).then(
    () => [],
    (error: { inner: { path: string }[] }) => error.inner.map(({ path }) => path),
  );

describe('a sending account as it is written', () => {
  it('is read from a form: numbers, and nothing for what is empty', async () => {
    const typed = { ...shownAccount(GOOD), version: 3, port: '587', secret: '', most: '' };
    expect(await SENDING_ACCOUNT.validate(typed)).toEqual({
      version: 3,
      host: 'smtp.house.example',
      port: 587,
      security: 'tls',
      sign_in: 'password',
      user_name: 'ada@house.example',
      per: 'hour',
    });
  });

  it.each([
    [{ host: '' }, ['host']],
    [{ host: 'smtp house' }, ['host']],
    [{ host: 'smtp.house.example/path' }, ['host']],
    [{ host: `${'a'.repeat(64)}.example` }, ['host']],
    [{ port: 0 }, ['port']],
    [{ port: 'none' }, ['port']],
    [{ port: 65_536 }, ['port']],
    [{ user_name: '' }, ['user_name']],
    [{ user_name: 'ada\nbob' }, ['user_name']],
    [{ secret: 'a\r\nQUIT' }, ['secret']],
    [{ envelope_address: 'nobody' }, ['envelope_address']],
    [{ most: -1 }, ['most']],
    [{ most: 1.5 }, ['most']],
    [{ security: 'none' }, ['security']],
    [{ sign_in: 'provider' }, ['issuer', 'client_id']],
    [{ sign_in: 'provider', issuer: 'no address', client_id: 'x' }, ['issuer']],
  ])('%j is said where it is wrong', async (facts, fields) => {
    expect(await wrong(facts)).toEqual(fields);
  });

  it.each([
    { host: '192.0.2.7' },
    { host: '2001:db8::1' },
    { host: 'bücher.example' },
    { host: 'localhost', security: 'none' },
    { host: '127.0.0.1', security: 'none', sign_in: 'none', user_name: '' },
    { sign_in: 'provider', issuer: 'provider.example', client_id: 'x' },
    // What is not seen is not asked.
    { sign_in: 'password', issuer: 'no address' },
  ])('%j is right', async (facts) => {
    expect(await wrong(facts)).toEqual([]);
  });
});

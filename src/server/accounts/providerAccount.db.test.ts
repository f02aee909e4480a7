import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { SendingAccountFacts } from '../../core/contract/records/sendingAccount';
import { accountOf } from '../../data/repositories/accounts/mailAccounts';
import { fakeProvider } from '../../post/oauth/test/fakeProvider';
import { bearerServer } from '../../post/test/bearerServer';
import { sendingDatabase } from '../sending/test/sendingDatabase';
import { imke } from '../test/imke';
import { freshToken } from './freshToken';
import { openProviderSecret, sealProviderSecret } from './providerSecret';
import { keepAfterProvider, keepMailAccount } from './keepMailAccount';
import { mailAccount } from './mailAccount';

const ground = sendingDatabase();
const REDIRECT = 'http://127.0.0.1:3400/settings/signed-in';

const SENDING = { kind: 'sending', whose: 'business' } as const;

let provider: Awaited<ReturnType<typeof fakeProvider>>;
let server: Awaited<ReturnType<typeof bearerServer>>;
beforeEach(async () => {
  process.env.SEALING_KEY = Buffer.alloc(32, 7).toString('base64');
  process.env.MAIL_SERVERS = 'any';
  provider = await fakeProvider();
  server = await bearerServer('XOAUTH2', ['first', 'second']);
});
afterEach(async () => {
  await provider.close();
  server.close();
});

const asked = (more: Partial<SendingAccountFacts> = {}): SendingAccountFacts => ({
  version: 0,
  host: '127.0.0.1',
  port: server.port,
  security: 'none',
  sign_in: 'provider',
  user_name: 'imke@larkfield.example',
  issuer: provider.issuer,
  client_id: 'fair-quill',
  scope: 'mail.send',
  per: 'hour',
  ...more,
});
const kept = () => accountOf(ground.database, 'sending', imke.business_id, null);

/** Begins it: gives what is kept on the device, and the state that somebody comes back with. */
async function begin(facts = asked()) {
  const { keeping, pending } = await keepMailAccount(imke, SENDING, facts, REDIRECT);
  if (keeping.result !== 'elsewhere') throw new Error(JSON.stringify(keeping));
  return { pending, state: new URL(keeping.to).searchParams.get('state')! };
}

async function signedIn() {
  const { pending, state } = await begin();
  provider.answers.push({ body: { access_token: 'first', expires_in: 3600, refresh_token: 'again' } });
  return keepAfterProvider(imke, pending, { code: 'a code', state });
}

describe('an account whose provider signs people in', () => {
  it('is kept once somebody has been there and its server takes letters by what it gave', async () => {
    expect(await kept()).toBeUndefined();
    expect(await signedIn()).toEqual({ result: 'kept', version: 1 });
    expect(provider.asked[0]).toMatchObject({
      code: 'a code',
      redirect_uri: REDIRECT,
      client_id: 'fair-quill',
    });
    expect(server.heard).toEqual(['XOAUTH2 user=imke@larkfield.example|auth=Bearer first||']);
    const account = (await kept())!;
    expect(account.secret!.toString('latin1')).not.toMatch(/first|again/);
    expect(openProviderSecret(account.secret!, account)).toMatchObject({
      access_token: 'first',
      refresh_token: 'again',
    });
    expect((await mailAccount(imke, 'sending', 'business'))!.facts).toEqual(asked({ version: 1 }));
  });

  it('is not kept for another, by another state, for what the provider refuses, or twice', async () => {
    const { pending, state } = await begin();
    await expect(keepAfterProvider(imke, pending, { code: 'x', state: 'another' })).rejects.toThrow(
      'not begun here',
    );
    await expect(
      keepAfterProvider({ ...imke, id: '00000000-0000-4000-8000-000000000000' }, pending, {
        code: 'x',
        state,
      }),
    ).rejects.toThrow('not begun here');
    await expect(keepAfterProvider(imke, undefined, { code: 'x', state })).rejects.toThrow('not begun here');
    await expect(
      keepAfterProvider({ ...imke, role: 'member' }, pending, { code: 'x', state }),
    ).rejects.toThrow('An owner');
    expect(await keepAfterProvider(imke, pending, { state, error: 'access_denied' })).toEqual({
      result: 'wrong',
      field: 'issuer',
      error: 'The provider did not agree. access_denied',
    });
    provider.answers.push({ status: 400, body: { error: 'invalid_grant' } });
    expect(await keepAfterProvider(imke, pending, { code: 'used', state })).toMatchObject({
      result: 'wrong',
      field: 'issuer',
    });
    provider.answers.push(
      { body: { access_token: 'not taken there' } },
      { body: { access_token: 'nor this' } },
    );
    expect(await keepAfterProvider(imke, pending, { code: 'x', state })).toMatchObject({
      result: 'wrong',
      field: 'sign_in',
    });
    expect(await kept()).toBeUndefined();
  });

  it('is changed without going there again where nobody signs in otherwise', async () => {
    await signedIn();
    expect((await keepMailAccount(imke, SENDING, asked({ version: 1, most: 10 }), REDIRECT)).keeping).toEqual(
      { result: 'kept', version: 2 },
    );
    const account = (await kept())!;
    expect(account).toMatchObject({ most: 10, version: 2 });
    expect(openProviderSecret(account.secret!, account)).toMatchObject({ access_token: 'first' });
    const { keeping } = await keepMailAccount(
      imke,
      SENDING,
      asked({ version: 2, user_name: 'office@larkfield.example' }),
      REDIRECT,
    );
    expect(keeping).toMatchObject({ result: 'elsewhere' });
  });

  it('whose provider cannot be asked says so', async () => {
    const { keeping } = await keepMailAccount(
      imke,
      SENDING,
      asked({ issuer: 'http://127.0.0.1:9' }),
      REDIRECT,
    );
    expect(keeping).toMatchObject({
      result: 'wrong',
      field: 'issuer',
      error: expect.stringContaining('does not say where people sign in'),
    });
  });
});

describe('what letters are sent with', () => {
  const key = async () => ({ business_id: imke.business_id, id: (await kept())!.id });
  /** It is good for so many seconds more. */
  async function goodFor(seconds: number) {
    const account = (await kept())!;
    const secret = openProviderSecret(account.secret!, account);
    await ground.database.models.sending_account.update(
      { secret: sealProviderSecret({ ...secret, expires_at: Date.now() + seconds * 1000 }, account) },
      { where: await key() },
    );
  }

  it('is renewed shortly before it ends, once for many that ask', async () => {
    await signedIn();
    provider.asked.length = 0;
    expect(await freshToken(ground.database, 'sending', await key(), false)).toBe('first');
    expect(provider.asked).toEqual([]);
    await goodFor(30);
    provider.answers.push({ body: { access_token: 'second', expires_in: 3600, refresh_token: 'and again' } });
    const tokens = await Promise.all(
      [1, 2, 3, 4].map(async () => freshToken(ground.database, 'sending', await key(), false)),
    );
    expect(tokens).toEqual(['second', 'second', 'second', 'second']);
    expect(provider.asked).toEqual([
      expect.objectContaining({ grant_type: 'refresh_token', refresh_token: 'again' }),
    ]);
    const account = (await kept())!;
    expect(account.version).toBe(1);
    expect(openProviderSecret(account.secret!, account)).toMatchObject({ refresh_token: 'and again' });
  });

  it('is renewed where it was not taken, unless another was got since', async () => {
    await signedIn();
    provider.answers.push({ body: { access_token: 'second', expires_in: 3600 } });
    expect(await freshToken(ground.database, 'sending', await key(), true, 'first')).toBe('second');
    expect(await freshToken(ground.database, 'sending', await key(), true, 'first')).toBe('second');
  });

  it('cannot be renewed where the provider has ended it: that is said, and nothing is lost', async () => {
    await signedIn();
    await goodFor(0);
    provider.answers.push({ status: 400, body: { error: 'invalid_grant' } });
    await expect(freshToken(ground.database, 'sending', await key(), false)).rejects.toThrow(
      'Sign in again in Settings',
    );
    const account = (await kept())!;
    expect(openProviderSecret(account.secret!, account)).toMatchObject({ refresh_token: 'again' });
  });
});

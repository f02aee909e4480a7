import { createHash } from 'node:crypto';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { findProvider } from './provider';
import { fakeProvider } from './test/fakeProvider';
import { beginSignIn, exchangeCode, renewTokens } from './tokens';

let fake: Awaited<ReturnType<typeof fakeProvider>>;
beforeEach(async () => {
  fake = await fakeProvider();
});
afterEach(() => fake.close());

const CLIENT = { client_id: 'fair-quill', client_secret: 'of the program' };
const REDIRECT = 'http://127.0.0.1:3400/settings/signed-in';
const provider = () => findProvider(fake.issuer, false);

describe('signing in at a provider', () => {
  it('goes to where it says, with a challenge that only whoever began can meet', async () => {
    const { to, state, verifier } = beginSignIn(await provider(), {
      client_id: 'fair-quill',
      scope: 'mail.send',
      redirect: REDIRECT,
      user: 'imke@larkfield.example',
    });
    const { origin, pathname, searchParams } = new URL(to);
    expect(origin + pathname).toBe(`${fake.issuer}/authorize`);
    expect(Object.fromEntries(searchParams)).toMatchObject({
      response_type: 'code',
      client_id: 'fair-quill',
      redirect_uri: REDIRECT,
      scope: 'mail.send',
      state,
      code_challenge: createHash('sha256').update(verifier).digest('base64url'),
      code_challenge_method: 'S256',
      login_hint: 'imke@larkfield.example',
    });
    expect(to).not.toContain(verifier);
    expect(
      beginSignIn(await provider(), { client_id: 'x', scope: '', redirect: REDIRECT, user: '' }).state,
    ).not.toBe(state);
  });

  it('ends with tokens for the code, and they are renewed by what came along', async () => {
    const to = await provider();
    fake.answers.push({ body: { access_token: 'one', expires_in: 600, refresh_token: 'again' } });
    const began = Date.now();
    const tokens = await exchangeCode(
      to,
      CLIENT,
      { code: 'the code', verifier: 'the verifier', redirect: REDIRECT },
      false,
    );
    expect(tokens).toMatchObject({ access_token: 'one', refresh_token: 'again' });
    expect(tokens.expires_at - began).toBeGreaterThanOrEqual(599_000);
    expect(tokens.expires_at - began).toBeLessThan(660_000);
    expect(fake.asked).toEqual([
      {
        grant_type: 'authorization_code',
        code: 'the code',
        code_verifier: 'the verifier',
        redirect_uri: REDIRECT,
        ...CLIENT,
      },
    ]);
    fake.answers.push({ body: { access_token: 'two' } });
    // Where it gives no other, what renews stays.
    expect(await renewTokens(to, CLIENT, tokens, false)).toMatchObject({
      access_token: 'two',
      refresh_token: 'again',
    });
    expect(fake.asked[1]).toEqual({ grant_type: 'refresh_token', refresh_token: 'again', ...CLIENT });
  });

  it.each<[string, { status?: number; body: unknown }, RegExp]>([
    [
      'a code that is not good',
      { status: 400, body: { error: 'invalid_grant' } },
      /has ended the signing in. Sign in again/,
    ],
    [
      'a program it does not know',
      { status: 401, body: { error: 'invalid_client', error_description: 'Who are you?' } },
      /refuses. invalid_client Who are you\?/,
    ],
    ['an answer without a token', { body: { token: 'x' } }, /refuses/],
    ['what is no JSON', { body: '<html>' }, /does not answer properly/],
    ['far too much', { body: { access_token: 'x'.repeat(100_000) } }, /says too much/],
    ['what it says at length', { status: 400, body: { error: 'x'.repeat(5_000) } }, /^.{1,300}$/],
  ])('%s is said in words', async (_, answer, words) => {
    const to = await provider();
    fake.answers.push(answer);
    await expect(
      renewTokens(to, CLIENT, { access_token: '', expires_at: 0, refresh_token: 'x' }, false),
    ).rejects.toThrow(words);
  });

  it('cannot be renewed without what renews', async () => {
    const to = await provider();
    await expect(renewTokens(to, CLIENT, { access_token: '', expires_at: 0 }, false)).rejects.toThrow(
      'Sign in again',
    );
  });
});

describe('a provider', () => {
  it('that tells of another, of nothing, or nothing that can be read, is none', async () => {
    for (const wrong of [
      {
        issuer: 'https://elsewhere.example',
        authorization_endpoint: 'https://elsewhere.example/a',
        token_endpoint: 'https://elsewhere.example/t',
      },
      { issuer: fake.issuer },
      'no JSON',
      [],
      null,
      'x'.repeat(200_000),
    ]) {
      fake.says(wrong ?? 'null');
      await expect(findProvider(fake.issuer, false)).rejects.toThrow(
        `${fake.issuer} does not say where people sign in`,
      );
    }
  });

  it('is asked by HTTPS, out on the internet, unless this machine may be asked', async () => {
    await expect(findProvider(fake.issuer, true)).rejects.toThrow('has to be asked by HTTPS');
    await expect(findProvider('http://provider.example', false)).rejects.toThrow('has to be asked by HTTPS');
    await expect(findProvider(fake.issuer.replace('http:', 'https:'), true)).rejects.toThrow(
      'leads into the network',
    );
    await expect(findProvider('no address', false)).rejects.toThrow('no address of a provider');
  });
});

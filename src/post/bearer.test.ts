import { afterEach, expect, it } from 'vitest';
import { bearerServer } from './test/bearerServer';
import { tryServer } from './tryServer';

const open: { close: () => unknown }[] = [];
afterEach(() => {
  for (const one of open.splice(0)) one.close();
});

/** A server, and how it is tried with some tokens. */
async function server(offers: string, good: readonly string[]) {
  const { heard, port, close } = await bearerServer(offers, good);
  open.push({ close });
  const asked: boolean[] = [];
  const tryIt = (...tokens: string[]) =>
    tryServer(
      {
        host: '127.0.0.1',
        port,
        secure: false,
        requireTLS: false,
        ignoreTLS: true,
        bearer: {
          user: 'imke,office@larkfield.example',
          token: async (anew) => {
            asked.push(anew);
            return tokens.shift()!;
          },
        },
      },
      ['imke@larkfield.example'],
    );
  return { heard, asked, port, tryIt };
}

it.each([
  [
    'PLAIN XOAUTH2 OAUTHBEARER',
    (port: number) =>
      `OAUTHBEARER n,a=imke=2Coffice@larkfield.example,|host=127.0.0.1|port=${port}|auth=Bearer good||`,
  ],
  ['LOGIN XOAUTH2', () => 'XOAUTH2 user=imke,office@larkfield.example|auth=Bearer good||'],
])('by a token, where a server offers %s', async (offers, words) => {
  const { heard, port, tryIt } = await server(offers, ['good']);
  expect(await tryIt('good')).toBeUndefined();
  expect(heard).toEqual([words(port)]);
});

it('a token that is not taken is asked for anew, once', async () => {
  const { heard, asked, tryIt } = await server('OAUTHBEARER', ['new']);
  expect(await tryIt('old', 'new')).toBeUndefined();
  expect(asked).toEqual([false, true]);
  // It was told that its reason was heard (RFC 7628, 3.2.3).
  expect(heard).toContain('heard: AQ==');
});

it('one that is not taken then either is said, as what the provider gave', async () => {
  const { tryIt } = await server('XOAUTH2', []);
  expect(await tryIt('old', 'older')).toEqual({
    field: 'sign_in',
    words: expect.stringMatching(/does not take what the provider gave.*Not by this/),
  });
});

it('what the provider refuses is said in its words', async () => {
  const { port } = await server('XOAUTH2', []);
  const wrong = await tryServer(
    {
      host: '127.0.0.1',
      port,
      secure: false,
      requireTLS: false,
      ignoreTLS: true,
      bearer: { user: 'imke', token: () => Promise.reject(new Error('Sign in again in Settings.')) },
    },
    ['imke@larkfield.example'],
  );
  expect(wrong).toEqual({ field: 'sign_in', words: expect.stringContaining('Sign in again in Settings.') });
});

import { createServer } from 'node:net';
import { SMTPServer, type SMTPServerOptions } from 'smtp-server';
import { afterEach, describe, expect, it } from 'vitest';
import type { MailServer } from './mailServer';
import { tryServer } from './tryServer';
import { whatIsWrong } from './whatIsWrong';

const open: { close: (done: () => void) => unknown }[] = [];
afterEach(async () => {
  for (const one of open.splice(0)) await new Promise<void>((done) => void one.close(done));
});

const SENDERS = ['imke@larkfield.example', 'office@larkfield.example'];

/** A server of the standard library for it, and how it is reached. */
async function smtp(options: SMTPServerOptions, more: Partial<MailServer> = {}) {
  const heard: string[] = [];
  const server = new SMTPServer({
    authOptional: true,
    // The library waits so long for connections that are still open.
    closeTimeout: 100,
    onAuth: ({ username, password }, _, done) =>
      username === 'office' && password === 'secret'
        ? done(null, { user: username })
        : done(Object.assign(new Error('Authentication failed'), { responseCode: 535 })),
    onMailFrom: ({ address }, _, done) => {
      heard.push(address);
      done();
    },
    onData: (stream, _, done) => {
      heard.push('content');
      stream.resume().on('end', done);
    },
    ...options,
  });
  server.on('error', () => undefined);
  open.push(server);
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  const { port } = server.server.address() as { port: number };
  return { heard, server: at(port, more) };
}

function at(port: number, more: Partial<MailServer> = {}): MailServer {
  return { host: '127.0.0.1', port, secure: false, requireTLS: false, ignoreTLS: true, ...more };
}

const CREDENTIALS = { user: 'office', pass: 'secret' };
const PLAIN = { disabledCommands: ['STARTTLS'] as never, allowInsecureAuth: true };
const refusing =
  (responseCode: number, words: string) => (_: unknown, __: unknown, done: (error: Error) => void) =>
    done(Object.assign(new Error(words), { responseCode }));

describe('a server is tried', () => {
  it('as a letter would meet it, up to whom it goes to, and sends nothing', async () => {
    const { heard, server } = await smtp(PLAIN, { credentials: CREDENTIALS });
    expect(await tryServer(server, SENDERS)).toBeUndefined();
    expect(heard).toEqual(SENDERS);
  });

  it.each<[string, SMTPServerOptions, Partial<MailServer>, string, RegExp]>([
    [
      'a wrong password',
      PLAIN,
      { credentials: { ...CREDENTIALS, pass: 'wrong' } },
      'secret',
      /does not take this name with this password.*It said: 535 Authentication failed/,
    ],
    [
      'nobody signs in there',
      { ...PLAIN, disabledCommands: ['AUTH', 'STARTTLS'] },
      { credentials: CREDENTIALS },
      'sign_in',
      /does not let anybody sign in/,
    ],
    [
      'it wants a signing in',
      { ...PLAIN, authOptional: false },
      {},
      'sign_in',
      /takes letters from whoever has signed in/,
    ],
    [
      'a sender of somebody else',
      { ...PLAIN, onMailFrom: refusing(550, 'Not yours') as never },
      {},
      'senders',
      /takes no letters from imke@larkfield.example\. Ask.*550 Not yours/,
    ],
    [
      'a sender not now',
      { ...PLAIN, onMailFrom: refusing(451, 'Later') as never },
      {},
      'senders',
      /at the moment.*451 Later/,
    ],
    [
      'it passes nothing on',
      { ...PLAIN, onRcptTo: refusing(554, 'Relay denied') as never },
      {},
      'senders',
      /refuses a letter from imke@larkfield.example to that very address/,
    ],
    ['TLS is not offered', PLAIN, { ignoreTLS: false, requireTLS: true }, 'security', /offers no TLS/],
    ['TLS from the start is not spoken', PLAIN, { secure: true }, 'security', /does not begin with TLS/],
    [
      'a certificate that nobody vouches for',
      { secure: true },
      { secure: true, host: 'localhost' },
      'host',
      /certificate/,
    ],
    [
      'it greets nobody',
      {
        ...PLAIN,
        onConnect: ((_: unknown, done: (e: Error) => void) =>
          done(Object.assign(new Error('Go away'), { responseCode: 554 }))) as never,
      },
      {},
      'host',
      /does not want to talk.*554 Go away/,
    ],
  ])('%s is said at its place', async (_, options, more, field, words) => {
    const { heard, server } = await smtp(options, more);
    expect(await tryServer(server, SENDERS)).toEqual({ field, words: expect.stringMatching(words) });
    expect(heard).not.toContain('content');
  });

  it('what is not there, or not out on the internet, is said', async () => {
    const gone = createServer();
    await new Promise<void>((listening) => gone.listen(0, '127.0.0.1', listening));
    const { port } = gone.address() as { port: number };
    await new Promise((closed) => gone.close(closed));
    expect(await tryServer(at(port), SENDERS)).toMatchObject({
      field: 'port',
      words: expect.stringContaining(`Nothing answers at port ${port}`),
    });
    for (const host of [
      '127.0.0.1',
      '10.0.0.1',
      '169.254.169.254',
      '::1',
      '::ffff:127.0.0.1',
      'localhost',
      '0.0.0.0',
      '100.64.1.1',
    ])
      expect((await tryServer(at(25, { host, publicOnly: true }), SENDERS))?.words, host).toContain(
        'leads into the network of this application',
      );
    expect(
      await tryServer(at(25, { host: 'no-such-server.invalid', publicOnly: true }), SENDERS),
    ).toMatchObject({ field: 'host' });
  });

  it('one that hangs up, or talks nonsense, is no trouble', async () => {
    for (const answer of ['', 'nonsense\r\n', '220 here\r\n', '220-'.repeat(100_000)]) {
      const server = createServer((socket) =>
        socket
          .on('error', () => undefined)
          .resume()
          .end(answer),
      );
      open.push(server);
      await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
      const { port } = server.address() as { port: number };
      const wrong = await tryServer(at(port), SENDERS);
      expect(wrong?.words.length, answer.slice(0, 20)).toBeLessThan(700);
      expect(wrong?.field).toBeDefined();
    }
  });
});

it.each([
  [{ code: 'EDNS', originalCode: 'ENOTFOUND' }, 'host', /There is no server called smtp\.house\.example/],
  [{ code: 'EDNS', originalCode: 'EAI_AGAIN' }, 'host', /Is this machine connected/],
  [
    { code: 'ETIMEDOUT', message: 'Connection timeout' },
    'port',
    /does not answer.*port 25; providers mostly mean/,
  ],
  [{ code: 'ETIMEDOUT', message: 'Greeting never received' }, 'security', /says nothing. If that is 465/],
  [{ code: 'ESOCKET', originalCode: 'CERT_HAS_EXPIRED' }, 'host', /has run out/],
  [{ code: 'ESOCKET', originalCode: 'ERR_TLS_CERT_ALTNAME_INVALID' }, 'host', /not for the name/],
  [
    { code: 'EAUTH', command: 'AUTH PLAIN', responseCode: 534, response: '534 5.7.9 Application-specific' },
    'secret',
    /made for programs/,
  ],
  [
    { code: 'EAUTH', command: 'AUTH PLAIN', responseCode: 454, response: '454 Later' },
    'secret',
    /at the moment/,
  ],
] as const)('%j is said in words', (failure, field, words) => {
  expect(whatIsWrong(failure, at(25, { host: 'smtp.house.example' }))).toEqual({
    field,
    words: expect.stringMatching(words),
  });
});

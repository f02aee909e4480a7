import { createHash } from 'node:crypto';
import { createServer as createWeb } from 'node:http';
import { createServer, type Server } from 'node:net';
import type { ImapFlow } from 'imapflow';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freePort } from '../../../bin/setup/ports.mjs';
import { MAILBOX_PASSWORD, startDovecot, type Dovecot } from '../../../stand-ins/imap/startDovecot';
import { Grants } from '../../../stand-ins/provider/grants';
import type { MailServer } from '../mailServer';
import { newMessages, type FoundMessage, type ReadTo } from './newMessages';
import { openMailbox } from './openMailbox';
import { tryMailbox } from './tryMailbox';

let dovecot: Dovecot;
const grants = new Grants();
const servers: Server[] = [];

beforeAll(async () => {
  const introspection = await introspects();
  dovecot = await startDovecot((await freePort()) as number, { introspection });
});
afterAll(async () => {
  for (const server of servers) server.close();
  await dovecot.stop();
});

/** Where Dovecot asks whether a token is good. */
async function introspects(): Promise<string> {
  const server = createWeb((request, response) => {
    let asked = '';
    request.on('data', (chunk: Buffer) => (asked += chunk.toString()));
    request.on('end', () => {
      const username = grants.userOf(new URLSearchParams(asked).get('token') ?? '');
      response.setHeader('content-type', 'application/json');
      response.end(JSON.stringify(username === undefined ? { active: false } : { active: true, username }));
    });
  });
  servers.push(server);
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  return `http://127.0.0.1:${(server.address() as { port: number }).port}/introspect`;
}

const at = (user: string, more: Partial<MailServer> = {}): MailServer => ({
  host: '127.0.0.1',
  port: dovecot.port,
  secure: false,
  requireTLS: false,
  ignoreTLS: true,
  credentials: { user, pass: MAILBOX_PASSWORD },
  ...more,
});
const message = (id: string, words = 'Hello.') =>
  Buffer.from(`From: oda@hartigan.example\r\nMessage-ID: <${id}>\r\nSubject: ${id}\r\n\r\n${words}\r\n`);

type Found = FoundMessage & { raw: Buffer };

/** What has come since, and how far it is read then. */
async function read(
  client: ImapFlow,
  before?: ReadTo,
  since = '2026-01-01',
  path = 'INBOX',
): Promise<{ found: Found[]; readTo: ReadTo }> {
  const found: Found[] = [];
  const messages = newMessages(client, path, before, since);
  for (;;) {
    const { done, value } = await messages.next();
    if (done) return { found, readTo: value };
    found.push({ ...value, raw: (await value.read())! });
  }
}
const subjects = (found: readonly Found[]) =>
  found.map(({ raw }) => /^Subject: (.*)\r$/m.exec(raw.toString())?.[1]);

describe('what has come to a folder', () => {
  it('is given once, the oldest first, and stays unread', async () => {
    const user = 'imke@larkfield.example';
    for (const id of ['one', 'two', 'three']) await dovecot.put(user, 'inbox', message(id));
    const client = await openMailbox(at(user));
    const first = await read(client);
    expect(subjects(first.found)).toEqual(['one', 'two', 'three']);
    expect(Math.abs(first.found[0]!.at.getTime() - Date.now())).toBeLessThan(60_000);
    expect((await read(client, first.readTo)).found).toEqual([]);
    await dovecot.put(user, 'inbox', message('four'));
    const next = await read(client, first.readTo);
    expect(subjects(next.found)).toEqual(['four']);
    // Killed after the second: what follows is given again.
    expect(subjects((await read(client, first.found[1]!.readTo)).found)).toEqual(['three', 'four']);
    expect(await client.status('INBOX', { unseen: true })).toMatchObject({ unseen: 4 });
    await client.logout();
  });

  it('is what came on a day or later where it was not read before, or was made anew', async () => {
    const user = 'office@larkfield.example';
    await dovecot.put(user, 'inbox', message('early'));
    const client = await openMailbox(at(user));
    const tomorrow = new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
    const none = await read(client, undefined, tomorrow);
    expect(none.found).toEqual([]);
    await dovecot.put(user, 'inbox', message('later'));
    expect(subjects((await read(client, none.readTo, tomorrow)).found)).toEqual(['later']);
    const anew = { uid_validity: none.readTo.uid_validity + 1, next_uid: 500 };
    expect(subjects((await read(client, anew)).found)).toEqual(['early', 'later']);
    expect((await read(client, anew, tomorrow)).found).toEqual([]);
    await client.logout();
  });

  it('is told by the server while it is waited for', async () => {
    const user = 'teo@larkfield.example';
    const client = await openMailbox(at(user));
    const { readTo } = await read(client);
    const told = new Promise((resolve) => client.once('exists', resolve));
    void client.idle();
    await new Promise((resolve) => setTimeout(resolve, 300));
    const put = Date.now();
    await dovecot.put(user, 'inbox', message('now'));
    await told;
    expect(Date.now() - put).toBeLessThan(10_000);
    expect(subjects((await read(client, readTo)).found)).toEqual(['now']);
    await client.logout();
  });

  it('of more than is taken is given by its beginning', async () => {
    const user = 'large@larkfield.example';
    await dovecot.put(user, 'inbox', message('huge', `${'x'.repeat(998)}\r\n`.repeat(46_000)));
    const client = await openMailbox(at(user));
    const { found } = await read(client);
    expect(found).toMatchObject([{ isCut: true }]);
    expect(found[0]!.raw.length).toBe(2_000_000);
    await client.logout();
  });
});

describe('a mailbox', () => {
  it('that can be read has nothing wrong', async () => {
    expect(await tryMailbox(at('runa@larkfield.example'), null)).toBeUndefined();
    expect(await tryMailbox(at('runa@larkfield.example'), 'Sent')).toBeUndefined();
  });

  it('says in words what is wrong, at its fact', async () => {
    const user = 'runa@larkfield.example';
    expect(await tryMailbox(at(user), 'Gone out')).toMatchObject({
      field: 'sent_folder',
      words: expect.stringContaining('no folder called Gone out') as string,
    });
    expect(await tryMailbox(at(user, { credentials: { user, pass: 'wrong' } }), null)).toMatchObject({
      field: 'secret',
      words: expect.stringContaining('does not take this name with this password') as string,
    });
    expect(await tryMailbox(at(user, { ignoreTLS: false, requireTLS: true }), null)).toMatchObject({
      field: 'security',
      words: expect.stringContaining('offers no TLS') as string,
    });
    expect(await tryMailbox(at(user, { port: (await freePort()) as number }), null)).toMatchObject({
      field: 'port',
      words: expect.stringContaining('Providers mostly mean 993 or 143') as string,
    });
    expect(await tryMailbox(at(user, { secure: true }), null)).toMatchObject({ field: 'security' });
    expect(await tryMailbox(at(user, { host: 'no.such.invalid' }), null)).toMatchObject({ field: 'host' });
    expect(await tryMailbox(at(user, { publicOnly: true }), null)).toMatchObject({
      field: 'host',
      words: expect.stringContaining('leads into the network of this application') as string,
    });
  });

  it('whose server talks of something else, or hangs up, is said to', async () => {
    for (const greeting of ['220 mail.house.example ESMTP\r\n', '']) {
      const server = createServer((socket) => socket.on('error', () => undefined).end(greeting));
      servers.push(server);
      await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
      const { port } = server.address() as { port: number };
      const wrong = await tryMailbox(at('runa@larkfield.example', { port }), null);
      expect(wrong?.words).toMatch(/hangs up|does not want to talk/);
    }
  });

  it('opens with what a provider gave, and with another where that is good no more', async () => {
    const user = 'runa@larkfield.example';
    const challenge = createHash('sha256').update('v').digest('base64url');
    const good = () => {
      const allowed = { client_id: 'us', redirect_uri: 'here', challenge, user };
      const answer = grants.answer({
        grant_type: 'authorization_code',
        code: grants.allow(allowed),
        code_verifier: 'v',
        client_id: 'us',
        redirect_uri: 'here',
      });
      return 'error' in answer
        ? Promise.reject(new Error(answer.error))
        : Promise.resolve(answer.access_token);
    };
    const { credentials: _, ...server } = at(user);
    const asked: boolean[] = [];
    const token = async (anew: boolean) => {
      asked.push(anew);
      return anew ? good() : 'good no more';
    };
    expect(await tryMailbox({ ...server, bearer: { user, token } }, null)).toBeUndefined();
    expect(asked).toEqual([false, true]);
    const never = { user, token: async () => 'never' };
    expect(await tryMailbox({ ...server, bearer: never }, null)).toMatchObject({
      field: 'sign_in',
      words: expect.stringContaining('does not take what the provider gave') as string,
    });
  });
});

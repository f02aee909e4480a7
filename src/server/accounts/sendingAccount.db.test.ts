import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { SendingAccountFacts } from '../../core/contract/records/sendingAccount';
import { accountOf } from '../../data/repositories/accounts/mailAccounts';
import { sendersOf } from '../../data/repositories/sending/sendersOf';
import { changeKey } from '../sealing/changeKey';
import { keyring } from '../sealing/keyring';
import { unseal } from '../sealing/seal';
import { mailServer, type Lines, type TalkingServer } from '../sending/test/mailServer';
import { sendingDatabase } from '../sending/test/sendingDatabase';
import { imke } from '../test/imke';
import { keepMailAccount } from './keepMailAccount';
import { mailAccount, removeMailAccount } from './mailAccount';

const ground = sendingDatabase();
const runa = { ...imke, role: 'member' as const };

const servers: TalkingServer[] = [];
beforeEach(() => {
  process.env.SEALING_KEY = Buffer.alloc(32, 7).toString('base64');
  process.env.MAIL_SERVERS = 'any';
});
afterEach(() => {
  for (const one of servers.splice(0)) one.close();
});

async function server(lines: Lines = {}): Promise<[TalkingServer, SendingAccountFacts]> {
  const one = await mailServer(lines);
  servers.push(one);
  const { host, port, credentials } = one.address;
  const signIn = credentials
    ? { sign_in: 'password' as const, user_name: credentials.user, secret: credentials.pass }
    : { sign_in: 'none' as const };
  return [one, { version: 0, host, port, security: 'none', per: 'hour', ...signIn }];
}
const REDIRECT = 'http://127.0.0.1:3400/settings/signed-in';
const keepSendingAccount = async (
  member: typeof imke,
  whose: 'business' | 'own',
  asked: SendingAccountFacts,
) => (await keepMailAccount(member, { kind: 'sending', whose }, asked, REDIRECT)).keeping;
const sendingAccount = async (member: typeof imke, whose: 'business' | 'own') =>
  mailAccount(member, 'sending', whose);
const removeSendingAccount = async (member: typeof imke, whose: 'business' | 'own') =>
  removeMailAccount(member, 'sending', whose);
const kept = () => accountOf(ground.database, 'sending', imke.business_id, null);
const secretKept = async () => {
  const account = (await kept())!;
  return unseal(account.secret!, { ...account, name: account.id });
};

describe('a sending account', () => {
  it('is kept once its server takes letters from everybody who would send by it', async () => {
    const [talking, asked] = await server({ signIn: '235 Welcome' });
    expect(await keepSendingAccount(imke, 'business', { ...asked, most: 100, per: 'day' })).toEqual({
      result: 'kept',
      version: 1,
    });
    const senders = await sendersOf(ground.database, imke.business_id, null);
    expect(senders.length).toBeGreaterThan(1);
    expect(talking.heard.filter((line) => line.startsWith('MAIL'))).toEqual(
      senders.map((address) => `MAIL FROM:<${address}>`),
    );
    expect(talking.heard).not.toContain('DATA');
    expect(await secretKept()).toBe('secret');
    const known = await sendingAccount(imke, 'business');
    expect(known).toEqual({
      id: expect.any(String) as string,
      facts: {
        version: 1,
        host: '127.0.0.1',
        port: asked.port,
        security: 'none',
        sign_in: 'password',
        user_name: 'office',
        most: 100,
        per: 'day',
      },
    });
    expect(JSON.stringify((await kept())!.secret)).not.toContain('secret');
  });

  it('is not kept where the password is wrong: what was kept stays', async () => {
    const [, first] = await server({ signIn: '235 Welcome' });
    await keepSendingAccount(imke, 'business', first);
    const [, refusing] = await server({ signIn: '535 5.7.8 No' });
    expect(await keepSendingAccount(imke, 'business', { ...refusing, version: 1 })).toEqual({
      result: 'wrong',
      field: 'secret',
      error: expect.stringContaining('does not take this name with this password'),
    });
    expect(await kept()).toMatchObject({ port: first.port, version: 1 });
  });

  it('gives its password to no other server: it has to be written again', async () => {
    const [, { secret: _, ...first }] = await server({ signIn: '235 Welcome' });
    expect(await keepSendingAccount(imke, 'business', first)).toMatchObject({
      field: 'secret',
      error: 'Write the password.',
    });
    await keepSendingAccount(imke, 'business', { ...first, secret: 'secret' });
    const [other, { secret: __, ...second }] = await server({ signIn: '235 Welcome' });
    expect(await keepSendingAccount(imke, 'business', { ...second, version: 1 })).toMatchObject({
      result: 'wrong',
      field: 'secret',
      error: expect.stringContaining('Write the password again'),
    });
    expect(other.connections()).toBe(0);
    // The same server, with another limit: the one that is kept will do.
    expect(await keepSendingAccount(imke, 'business', { ...first, version: 1, most: 10 })).toMatchObject({
      version: 2,
    });
    expect(await secretKept()).toBe('secret');
  });

  it('is told when somebody else kept another meanwhile, or took it out', async () => {
    const [, asked] = await server();
    await keepSendingAccount(imke, 'business', asked);
    expect(await keepSendingAccount(imke, 'business', { ...asked, most: 5 })).toMatchObject({
      result: 'overtaken',
      now: { version: 1, port: asked.port },
    });
    expect(await removeSendingAccount(imke, 'business')).toBe(true);
    expect(await removeSendingAccount(imke, 'business')).toBe(false);
    expect(await keepSendingAccount(imke, 'business', { ...asked, version: 1 })).toEqual({ result: 'gone' });
  });

  it('of everybody is an owner’s to settle, one’s own anybody’s', async () => {
    const [talking, asked] = await server();
    await expect(keepSendingAccount(runa, 'business', asked)).rejects.toThrow('An owner');
    await expect(removeSendingAccount(runa, 'business')).rejects.toThrow('An owner');
    expect(await keepSendingAccount(runa, 'own', asked)).toMatchObject({ result: 'kept' });
    expect(talking.heard.filter((line) => line.startsWith('MAIL'))).toEqual([
      'MAIL FROM:<imke@larkfield.example>',
    ]);
    expect(await sendersOf(ground.database, imke.business_id, null)).not.toContain('imke@larkfield.example');
    expect(await sendingAccount(imke, 'business')).toBeUndefined();
  });
});

describe('the key of passwords', () => {
  it('is changed in its file, and everything opens with the new one alone', async () => {
    const file = path.join(mkdtempSync(path.join(tmpdir(), 'key-')), 'sealing.key');
    writeFileSync(file, `${process.env.SEALING_KEY}\n`);
    delete process.env.SEALING_KEY;
    process.env.SEALING_KEY_FILE = file;
    const before = keyring();
    const [, asked] = await server({ signIn: '235 Welcome' });
    await keepSendingAccount(imke, 'business', asked);
    expect(await changeKey(ground.database.url)).toBe(`1 secret is sealed with a new key, in ${file}.`);
    expect(readFileSync(file, 'utf8').trim().split('\n')).toHaveLength(1);
    const account = (await kept())!;
    expect(await secretKept()).toBe('secret');
    expect(() => unseal(account.secret!, { ...account, name: account.id }, before)).toThrow('cannot be read');
    delete process.env.SEALING_KEY_FILE;
  });

  it('that opens nothing changes nothing', async () => {
    const [, asked] = await server({ signIn: '235 Welcome' });
    await keepSendingAccount(imke, 'business', asked);
    const sealed = (await kept())!.secret!;
    const others = [1, 2].map((fill) => Buffer.alloc(32, fill).toString('base64')).join(',');
    await expect(changeKey(ground.database.url, { SEALING_KEY: others } as never)).rejects.toThrow(
      'cannot be read',
    );
    await expect(changeKey(ground.database.url)).rejects.toThrow('Put the new key before the old one');
    expect((await kept())!.secret!.equals(sealed)).toBe(true);
  });
});

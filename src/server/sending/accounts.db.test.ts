import { QueryTypes } from 'sequelize';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keepAccount, removeAccount } from '../../data/repositories/accounts/mailAccounts';
import { noteSeen } from '../../data/repositories/sending/signingKeys';
import { seeWorker } from '../../data/repositories/sending/workers';
import { actOnSigning, signingDomains } from '../accounts/signing';
import { oneLetter } from '../letters/oneLetter';
import { seal } from '../sealing/seal';
import { imke } from '../test/imke';
import { Sender } from './sender';
import { lettersWaiting, whyLetterWaits } from './sendingState';
import { accountAt } from './test/account';
import { mailServer, type Lines, type TalkingServer } from './test/mailServer';
import { sendingDatabase } from './test/sendingDatabase';

const ground = sendingDatabase();

let servers: TalkingServer[] = [];
const server = async (lines: Lines = {}) => {
  const one = await mailServer(lines);
  servers.push(one);
  return one;
};
let ours: TalkingServer;
beforeEach(async () => {
  ours = await server();
});
afterEach(() => {
  for (const one of servers) one.close();
  servers = [];
});

const recipients = ({ heard }: TalkingServer) =>
  heard.filter((line) => line.startsWith('RCPT')).map((line) => /<(.*?)>/.exec(line)![1]);
const sendAllDue = () => new Sender(ground.database, ours.address).sendAllDue();

/** Letters that are due, each written a moment after the one before. */
async function due(...readers: { to: string; from?: string; by?: string | null }[]): Promise<string[]> {
  const ids: string[] = [];
  for (const { to, from = 'imke@larkfield.example', by = 'imke' } of readers) {
    const [row] = await ground.database.sequelize.query<{ id: string }>(
      `with written as (
         insert into message (business_id, id, message_id, direction, status, thread_id, subject, text, at, member_id, from_address, goes_at)
         select id, gen_random_uuid(), gen_random_uuid() || '@larkfield.example', 'out', 'going', gen_random_uuid(), 'Hello', 'Hello',
           clock_timestamp(), (select id from member where member.business_id = business.id and key = $by), $from, now() - interval '1 second'
         from business where id = $business_id returning business_id, id),
       readers as (
         insert into message_recipient (business_id, message_id, position, role, address) select business_id, id, 0, 'to', $to from written)
       select id from written`,
      { bind: { to, from, by, business_id: imke.business_id }, type: QueryTypes.SELECT },
    );
    ids.push(row!.id);
  }
  return ids;
}

const statusOf = async (id: string) => (await oneLetter(imke, id))!.status;

describe('a letter leaves', () => {
  it('by its writer’s own account, else by that of the business, else by the application’s server', async () => {
    await due({ to: 'one@reader.example' });
    await sendAllDue();
    expect(recipients(ours)).toEqual(['one@reader.example']);
    const [business, own] = [await server(), await server({ signIn: '235 Welcome' })];
    await accountAt(ground.database, business, { envelope_address: 'returns@larkfield.example' });
    await accountAt(ground.database, own, { member_id: imke.id });
    await due({ to: 'two@reader.example' }, { to: 'three@reader.example', by: 'runa' });
    await sendAllDue();
    expect(recipients(own)).toEqual(['two@reader.example']);
    expect(own.heard.find((line) => line.startsWith('AUTH'))).toBe(
      `AUTH PLAIN ${Buffer.from('\0office\0secret').toString('base64')}`,
    );
    expect(recipients(business)).toEqual(['three@reader.example']);
    // The demonstration marks what comes back, there too.
    expect(business.heard.find((line) => line.startsWith('MAIL'))).toMatch(
      /<returns\+r.*@larkfield\.example>/,
    );
    expect(recipients(ours)).toHaveLength(1);
    await removeAccount(ground.database, 'sending', imke.business_id, imke.id);
    await due({ to: 'four@reader.example' });
    await sendAllDue();
    expect(recipients(business)).toEqual(['three@reader.example', 'four@reader.example']);
  });

  it('by an account as it is now: another password is used at once', async () => {
    const first = await server({ signIn: '235 Welcome' });
    const account = await accountAt(ground.database, first);
    const sender = new Sender(ground.database, ours.address);
    const running = sender.run();
    const [one] = await due({ to: 'one@reader.example' });
    await vi.waitFor(async () => expect(await statusOf(one!)).toBe('sent'), { timeout: 5000 });
    const secret = seal('another', { business_id: imke.business_id, name: account.id });
    await keepAccount(ground.database, 'sending', { ...account, secret, version: 2 });
    const [two] = await due({ to: 'two@reader.example' });
    await vi.waitFor(async () => expect(await statusOf(two!)).toBe('sent'), { timeout: 5000 });
    sender.stop();
    await running;
    const signedIn = first.heard.filter((line) => line.startsWith('AUTH'));
    expect(signedIn.at(-1)).toBe(`AUTH PLAIN ${Buffer.from('\0office\0another').toString('base64')}`);
  });
});

describe('an account', () => {
  it('that refuses its password keeps its own letters, and those alone, and says so', async () => {
    const refusing = await server({ signIn: '535 5.7.8 Wrong password' });
    await accountAt(ground.database, refusing, { member_id: imke.id });
    const [hers, others] = await due({ to: 'one@reader.example' }, { to: 'two@reader.example', by: 'runa' });
    await sendAllDue();
    await seeWorker(ground.database, '7f3c2a56-8f0e-4c63-9a44-0a4b6d0f4a01');
    expect(await statusOf(others!)).toBe('sent');
    expect(await statusOf(hers!)).toBe('going');
    expect(await whyLetterWaits(imke, hers!)).toBe(
      'The mail server of the sending account takes no letters and is asked again. It said: 535 5.7.8 Wrong password',
    );
    await ground.database.sequelize.query(
      "update message set goes_at = now() - interval '1 minute' where status = 'going'",
    );
    expect(await lettersWaiting(imke)).toMatchObject({ letters: 1, ofAccount: true });
    await removeAccount(ground.database, 'sending', imke.business_id, imke.id);
    await sendAllDue();
    expect(await statusOf(hers!)).toBe('sent');
  });

  it('whose secret cannot be opened keeps its letters, and says what to do', async () => {
    const other = await server({ signIn: '235 Welcome' });
    await accountAt(ground.database, other, { secret: Buffer.from('of another machine') });
    const [id] = await due({ to: 'one@reader.example' });
    await sendAllDue();
    await seeWorker(ground.database, '7f3c2a56-8f0e-4c63-9a44-0a4b6d0f4a01');
    expect(await whyLetterWaits(imke, id!)).toContain(
      'cannot be read with the key that is here. Write it anew',
    );
    expect(other.connections()).toBe(0);
  });

  it('whose server hangs does not hold up the letters of others', async () => {
    const hanging = await server({ greeting: '220-wait for ever' });
    await accountAt(ground.database, hanging, { member_id: imke.id });
    const readers = Array.from({ length: 40 }, (_, i) => ({ to: `r${i}@reader.example` }));
    await due(...readers);
    const [other] = await due({ to: 'other@reader.example', by: 'runa' });
    const sender = new Sender(ground.database, ours.address);
    const running = sender.run();
    await vi.waitFor(async () => expect(await statusOf(other!)).toBe('sent'), { timeout: 5000 });
    expect(hanging.connections()).toBeGreaterThan(0);
    const [later] = await due({ to: 'later@reader.example', by: 'runa' });
    await vi.waitFor(async () => expect(await statusOf(later!)).toBe('sent'), { timeout: 5000 });
    sender.stop();
    await running;
  }, 60_000);

  it('takes no more than its rate, half of it at once and the rest evenly', async () => {
    const slow = await server();
    await accountAt(ground.database, slow, { most: 4, per: 'hour' });
    await due(...Array.from({ length: 8 }, (_, i) => ({ to: `r${i}@reader.example` })));
    const after = async (minutes: number) => {
      await ground.database.sequelize.query(
        `update sending_account set full_at = full_at - interval '${minutes} minutes'`,
      );
      await sendAllDue();
      return recipients(slow).length;
    };
    expect(await after(0)).toBe(2);
    expect(await after(29)).toBe(2);
    expect(await after(1)).toBe(3);
    expect(await after(30)).toBe(4);
    // Nothing is saved up beyond what may go at once.
    expect(await after(600)).toBe(6);
    expect(recipients(ours)).toEqual([]);
  });
});

describe('a letter is signed', () => {
  it('with the key of its domain, from when the line of that was seen', async () => {
    const { business_id } = imke;
    const of = { business_id, domain: 'larkfield.example' };
    process.env.SEALING_KEY ??= Buffer.alloc(32, 7).toString('base64');
    expect(await actOnSigning(imke, of.domain, 'make')).toEqual({ result: 'done' });
    expect(await actOnSigning(imke, of.domain, 'make')).toEqual({ result: 'done' });
    expect(await actOnSigning(imke, 'elsewhere.example', 'make')).toMatchObject({ result: 'gone' });
    await expect(actOnSigning({ ...imke, role: 'member' }, of.domain, 'make')).rejects.toThrow('An owner');
    const isSigned = async (to: string) => {
      await due({ to });
      await sendAllDue();
      const began = ours.content.lastIndexOf('.', ours.content.length - 2) + 1;
      return ours.content.slice(began).some((line) => line.startsWith('DKIM-Signature: v=1; a=rsa-sha256;'));
    };
    expect(await isSigned('one@reader.example')).toBe(false);
    expect((await signingDomains(imke)).find(({ domain }) => domain === of.domain)).toEqual({
      domain: of.domain,
      line: {
        name: 'letters._domainkey.larkfield.example',
        value: expect.stringMatching(/^v=DKIM1; k=rsa; p=[\w+/]{300,}=*$/),
      },
    });
    await noteSeen(ground.database, of, new Date());
    expect(await isSigned('two@reader.example')).toBe(true);
    expect(await actOnSigning(imke, of.domain, 'take out')).toEqual({ result: 'done' });
    expect(await actOnSigning(imke, of.domain, 'look')).toMatchObject({ result: 'gone' });
    expect(await isSigned('three@reader.example')).toBe(false);
  });
});

describe('letters to one reader', () => {
  it('go in the order in which they were written', async () => {
    const slow = await server();
    await accountAt(ground.database, slow);
    const [first, second, third] = await due(
      { to: 'Oda@reader.example' },
      { to: 'oda@reader.example' },
      { to: 'somebody@reader.example' },
    );
    // The first is due last.
    await ground.database.sequelize.query(
      `update message set goes_at = now() + interval '1 hour' where id = '${first}'`,
    );
    await sendAllDue();
    expect([await statusOf(second!), await statusOf(third!)]).toEqual(['going', 'sent']);
    await ground.database.sequelize.query(`update message set goes_at = now() where id = '${first}'`);
    await sendAllDue();
    expect(recipients(slow)).toEqual(['somebody@reader.example', 'Oda@reader.example', 'oda@reader.example']);
  });

  it('do not wait for one that is refused again and again, nor for somebody else’s', async () => {
    const [stuck, hers, his] = await due(
      { to: 'oda@reader.example' },
      { to: 'oda@reader.example' },
      { to: 'oda@reader.example', by: 'runa', from: 'runa@larkfield.example' },
    );
    const puts = (tries: number) =>
      ground.database.sequelize.query(
        `update message set tries = ${tries}, goes_at = now() + interval '1 hour' where id = '${stuck}'`,
      );
    await puts(2);
    await sendAllDue();
    expect([await statusOf(hers!), await statusOf(his!)]).toEqual(['going', 'sent']);
    await puts(8);
    await sendAllDue();
    expect(await statusOf(hers!)).toBe('sent');
  });
});

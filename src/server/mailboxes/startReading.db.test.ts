import { QueryTypes } from 'sequelize';
import { afterEach, beforeAll, beforeEach, expect, it } from 'vitest';
import { freePort } from '../../../bin/setup/ports.mjs';
import { MAILBOX_PASSWORD, startDovecot, type Dovecot } from '../../../stand-ins/imap/startDovecot';
import type { MailboxFacts } from '../../core/contract/records/mailbox';
import { keepMailAccount } from '../accounts/keepMailAccount';
import { mailAccount, removeMailAccount } from '../accounts/mailAccount';
import { answersWaiting } from '../incoming/answersWaiting';
import { message } from '../incoming/test/awkward';
import { sendingDatabase } from '../sending/test/sendingDatabase';
import { imke } from '../test/imke';
import { mailboxState, unreadMailboxes } from './mailboxState';
import { startReading } from './startReading';

const ground = sendingDatabase();
/** Oda's invoice of the demonstration. */
const INVOICE = '<m-invoice-59@larkfield.example>';
const IMKE = 'imke@larkfield.example';

let dovecot: Dovecot;
let port: number;
const readers: ReturnType<typeof startReading>[] = [];

beforeAll(async () => {
  process.env.SEALING_KEY = Buffer.alloc(32, 7).toString('base64');
  process.env.MAIL_SERVERS = 'any';
  port = (await freePort()) as number;
});
// Each has mailboxes of its own.
beforeEach(async () => {
  dovecot = await startDovecot(port);
});
afterEach(async () => {
  await Promise.all(readers.splice(0).map((reader) => reader.stop()));
  await dovecot.stop();
});

const read = () => readers.push(startReading(ground.database.url));
const asked = (more: Partial<MailboxFacts> = {}): MailboxFacts => ({
  version: 0,
  host: '127.0.0.1',
  port,
  security: 'none',
  sign_in: 'password',
  user_name: IMKE,
  secret: MAILBOX_PASSWORD,
  since: '2026-01-01',
  ...more,
});
const keep = async (facts = asked(), whose: 'own' | 'business' = 'own') =>
  (await keepMailAccount(imke, { kind: 'mailbox', whose }, facts, 'http://here')).keeping;
const ask = <T extends object>(sql: string) =>
  ground.database.inBusiness(imke.business_id, () =>
    ground.database.sequelize.query<T>(sql, { type: QueryTypes.SELECT }),
  );

interface Kept {
  subject: string;
  direction: string;
  status: string;
  client: string | null;
  member: string | null;
}
const inRecords = (words: string) =>
  ask<Kept>(
    `select subject, direction, status, client.key as client, member.key as member from message
     left join client on client.id = client_id left join member on member.id = member_id
     where subject like '%${words}%' order by at, sequence`,
  );

/** Looks until it is so; gives what it found then. */
async function until<T>(look: () => Promise<T>, isSo: (found: T) => boolean): Promise<T> {
  for (const began = Date.now(); ;) {
    const found = await look();
    if (isSo(found) || Date.now() - began > 20_000) return found;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}

let count = 0;
const mail = (more: Record<string, string | undefined>, words = 'Thank you, Imke.\n') =>
  message(
    { 'Message-ID': `<mailbox-${++count}@elsewhere.example>`, 'In-Reply-To': undefined, ...more },
    words,
  );

it('what is in the inbox and among the sent ones joins the letters; what is nobody’s here stays there', async () => {
  await dovecot.put(IMKE, 'inbox', mail({ Subject: 'Box: paid', 'In-Reply-To': INVOICE }));
  await dovecot.put(IMKE, 'inbox', mail({ From: 'Bram <bram@new.example>', Subject: 'Box: a harpsichord' }));
  await dovecot.put(
    IMKE,
    'inbox',
    mail({ From: 'news@felt.example', Subject: 'Box: news', 'List-Id': '<news.felt.example>' }),
  );
  const sent = { From: `Imke <${IMKE}>` };
  await dovecot.put(
    IMKE,
    'sent',
    mail({ ...sent, To: 'oda@hartigan.example', Subject: 'Box: from my phone' }),
  );
  await dovecot.put(IMKE, 'sent', mail({ ...sent, To: 'sister@home.example', Subject: 'Box: private' }));
  // Whatever it says, it lay in the inbox.
  await dovecot.put(IMKE, 'inbox', mail({ ...sent, To: IMKE, Subject: 'Box: forged' }));
  // Under another name, and among the sent ones.
  await dovecot.put(
    IMKE,
    'sent',
    mail({ From: 'office@elsewhere.example', To: 'oda@hartigan.example', Subject: 'Box: by another name' }),
  );
  expect(await keep()).toEqual({ result: 'kept', version: 1 });
  expect((await mailboxState(imke, 'own'))?.words).toContain('about to be looked into');
  read();
  const kept = await until(
    () => inRecords('Box:'),
    (found) => found.length >= 5,
  );
  const bySubject = new Map(kept.map(({ subject, ...rest }) => [subject, rest]));
  expect(bySubject.get('Box: paid')).toMatchObject({ direction: 'in', client: 'hartigan' });
  expect(bySubject.get('Box: a harpsichord')).toEqual({
    direction: 'in',
    status: 'received',
    client: null,
    member: 'imke',
  });
  const written = { direction: 'out', status: 'sent', client: 'hartigan', member: 'imke' };
  expect(bySubject.get('Box: from my phone')).toEqual(written);
  expect(bySubject.get('Box: by another name')).toEqual(written);
  expect(bySubject.get('Box: forged')).toMatchObject({ direction: 'in' });
  expect(kept).toHaveLength(5);
  expect(
    await until(
      () => mailboxState(imke, 'own'),
      (state) => state?.words.startsWith('Looked into') ?? false,
    ),
  ).toMatchObject({ trouble: false });
  const left = await ask<{ count: string }>("select count(*) from incoming where sha256 <> ''");
  expect(Number(left[0]!.count)).toBeGreaterThanOrEqual(5);
});

it('what comes is under its client at once, and once, however many read', async () => {
  await keep();
  read();
  read();
  await until(
    () => ask<{ read_at: Date | null }>('select read_at from mailbox'),
    ([row]) => Boolean(row?.read_at),
  );
  await new Promise((resolve) => setTimeout(resolve, 500));
  const put = Date.now();
  await dovecot.put(IMKE, 'inbox', mail({ Subject: 'Told: one', 'In-Reply-To': INVOICE }));
  const [found] = await until(
    () => inRecords('Told:'),
    (some) => some.length > 0,
  );
  expect(found).toMatchObject({ client: 'hartigan' });
  // What is looked into by the clock would be there after a minute.
  expect(Date.now() - put).toBeLessThan(10_000);
  // An answer by another mail program says that nothing waits any more.
  expect((await answersWaiting(imke)).known.map(({ subject }) => subject)).toContain('Told: one');
  const [taken] = await ask<{ message_id: string }>(
    "select message_id from message where subject = 'Told: one'",
  );
  await dovecot.put(
    IMKE,
    'sent',
    mail({
      From: IMKE,
      To: 'oda@hartigan.example',
      Subject: 'Told: answered',
      'In-Reply-To': `<${taken!.message_id}>`,
    }),
  );
  await dovecot.put(IMKE, 'inbox', mail({ Subject: 'Told: two', 'In-Reply-To': INVOICE }));
  await until(
    () => inRecords('Told: answered'),
    (some) => some.length > 0,
  );
  const waiting = (await answersWaiting(imke)).known.map(({ subject }) => subject);
  expect(waiting).not.toContain('Told: one');
  await new Promise((resolve) => setTimeout(resolve, 1_000));
  expect(await inRecords('Told:')).toHaveLength(3);
}, 90_000);

it('goes on with another process, and after the server was away', async () => {
  await keep();
  read();
  await dovecot.put(IMKE, 'inbox', mail({ Subject: 'Again: first', 'In-Reply-To': INVOICE }));
  await until(
    () => inRecords('Again:'),
    (some) => some.length === 1,
  );
  await Promise.all(readers.splice(0).map((reader) => reader.stop()));
  await dovecot.put(IMKE, 'inbox', mail({ Subject: 'Again: second', 'In-Reply-To': INVOICE }));
  read();
  await until(
    () => inRecords('Again:'),
    (some) => some.length === 2,
  );
  await dovecot.stop();
  const down = await until(
    () => mailboxState(imke, 'own'),
    (state) => state?.trouble ?? false,
  );
  expect(down?.words).toMatch(/has not been read since .*Nothing answers at port/);
  // A moment is nobody's concern; longer is.
  expect(await unreadMailboxes(imke)).toEqual([]);
  await ground.database.sequelize.query(
    "update mailbox set trouble_since = trouble_since - interval '10 minutes'",
  );
  expect(await unreadMailboxes(imke)).toEqual([
    expect.stringContaining(`The mailbox of ${IMKE}: It has not`),
  ]);
  dovecot = await startDovecot(port);
  await dovecot.put(IMKE, 'inbox', mail({ Subject: 'Again: third', 'In-Reply-To': INVOICE }));
  // Tried again after half of the time that it was away: a test does not wait for that.
  await ground.database.sequelize.query("update mailbox set read_until = now() - interval '1 second'");
  await until(
    () => inRecords('Again:'),
    (some) => some.length === 3,
  );
  expect(await inRecords('Again:')).toHaveLength(3);
  expect(
    await until(
      () => mailboxState(imke, 'own'),
      (state) => state?.trouble === false,
    ),
  ).toMatchObject({ trouble: false });
}, 120_000);

it('is not kept with a wrong password or for somebody who may not, is changed, and ends when it is taken out', async () => {
  expect(await keep(asked({ secret: 'wrong' }))).toMatchObject({ result: 'wrong', field: 'secret' });
  expect(await keep(asked({ sent_folder: 'Gone' }))).toMatchObject({ result: 'wrong', field: 'sent_folder' });
  expect(await mailAccount(imke, 'mailbox', 'own')).toBeUndefined();
  const member = { ...imke, role: 'member' as const };
  await expect(
    keepMailAccount(member, { kind: 'mailbox', whose: 'business' }, asked(), 'http://here'),
  ).rejects.toThrow('An owner');
  expect(await keep()).toEqual({ result: 'kept', version: 1 });
  read();
  await dovecot.put(IMKE, 'inbox', mail({ Subject: 'Change: first', 'In-Reply-To': INVOICE }));
  await until(
    () => inRecords('Change:'),
    (some) => some.length === 1,
  );
  // From another day on: it is read anew, and what is here is not taken twice.
  const { secret: _, ...facts } = asked({ version: 1, since: '2026-02-01' });
  expect(await keep(facts)).toEqual({ result: 'kept', version: 2 });
  expect(await keep(facts)).toMatchObject({ result: 'overtaken', now: { version: 2, since: '2026-02-01' } });
  await dovecot.put(IMKE, 'inbox', mail({ Subject: 'Change: second', 'In-Reply-To': INVOICE }));
  await until(
    () => inRecords('Change:'),
    (some) => some.length === 2,
  );
  expect(await inRecords('Change:')).toHaveLength(2);
  expect(await removeMailAccount(imke, 'mailbox', 'own')).toBe(true);
  expect(await removeMailAccount(imke, 'mailbox', 'own')).toBe(false);
  await new Promise((resolve) => setTimeout(resolve, 3_000));
  await dovecot.put(IMKE, 'inbox', mail({ Subject: 'Change: third', 'In-Reply-To': INVOICE }));
  await new Promise((resolve) => setTimeout(resolve, 1_000));
  expect(await inRecords('Change:')).toHaveLength(2);
}, 120_000);

import { randomUUID } from 'node:crypto';
import { createServer, type Server } from 'node:net';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { QueryTypes } from 'sequelize';
import { factsOf } from '../core/writing/factsOf';
import { WritingDesk } from '../core/writing/writingDesk';
import { beginHandover, claimLetter, concludeTry } from '../data/repositories/outgoing';
import { temporaryDatabase, withDemonstration, type TemporaryDatabase } from '../data/test/temporaryDatabase';
import { readMailServer } from '../post/handOver';
import { connection } from './connection';
import { factsForWriting } from './factsForWriting';
import { oneLetter } from './oneLetter';
import { createQueues, openQueue } from './queue';
import { recordPayment } from './recordPayment';
import { sendDueLetters } from './sendDueLetters';
import { sendLetter, type LetterToSend } from './sendLetter';
import { takeBackLetter } from './takeBackLetter';
import { imke } from './test/imke';

let database: TemporaryDatabase;

beforeAll(async () => {
  database = await temporaryDatabase();
  process.env.DATABASE_URL = database.url;
  process.env.FAIRQUILL_NOW = '2026-11-25T09:00:00Z';
  const boss = openQueue(database.url);
  await boss.start();
  await createQueues(boss);
  await boss.stop({ graceful: false });
});
beforeEach(async () => {
  await database.sequelize.query('delete from pgboss.job');
  await withDemonstration(database);
});
afterAll(async () => {
  await connection().close();
  await database.drop();
});

const START = { kind: 'invoice', key: 'LPC-1048' } as const;

/** A letter as the page would send it. */
async function written(more: Partial<LetterToSend> = {}): Promise<LetterToSend> {
  const facts = (await factsForWriting(imke, more.start ?? START))!;
  const choices = { template: 'first-reminder', answers: {} };
  const filled = new WritingDesk(facts).fill(more.start ?? START, choices)!;
  return {
    id: randomUUID(),
    start: START,
    choices,
    templateVersion: 1,
    document: filled.document,
    facts: factsOf(filled),
    ...more,
  };
}

const jobs = async () =>
  (
    await database.sequelize.query<{ count: number }>(
      "select count(*)::int as count from pgboss.job where name = 'send'",
      { type: QueryTypes.SELECT },
    )
  )[0]!.count;

/** The ten seconds are over. */
const itIsTime = () => database.sequelize.query("update message set goes_at = now() where status = 'going'");

describe('a letter to be sent', () => {
  it('is written with its recipients, its values and its job in one transaction', async () => {
    const letter = await written();
    expect(await sendLetter(imke, letter)).toMatchObject({ result: 'going' });
    expect(await oneLetter(imke, letter.id)).toMatchObject({
      status: 'going',
      subject: 'Invoice LPC-1048 is still open',
      from_address: 'imke@larkfield.example',
      client_key: 'college',
      about: { kind: 'invoice', key: 'LPC-1048' },
      recipients: [{ role: 'to', name: 'Hale Brandreth', address: 'accounts@thornholtcollege.example' }],
      events: [{ kind: 'going' }],
    });
    expect((await oneLetter(imke, letter.id))!.notes.map(({ value }) => value)).toContain('£642.00');
    expect(await jobs()).toBe(1);
  });

  it('is none when it comes a second time, also at the same moment', async () => {
    const letter = await written();
    const both = await Promise.all([sendLetter(imke, letter), sendLetter(imke, letter)]);
    expect(both.map(({ result }) => result).sort()).toEqual(['already', 'going']);
    expect(await sendLetter(imke, letter)).toMatchObject({ result: 'already', status: 'going' });
    expect(await jobs()).toBe(1);
  });

  it('is refused with what changed when a fact is no longer so, and nothing is written', async () => {
    const letter = await written();
    expect(
      await recordPayment(imke, 'LPC-1048', 1, { amount: 10_000, paid_on: '2026-11-25', method: null }),
    ).toMatchObject({ result: 'recorded' });
    const answer = await sendLetter(imke, letter);
    expect(answer).toMatchObject({ result: 'changed' });
    expect('changed' in answer && answer.changed).toContainEqual({ label: 'balance', now: '£542.00' });
    expect(await oneLetter(imke, letter.id)).toBeUndefined();
    expect(await jobs()).toBe(0);
  });

  it('is refused when another address would get it', async () => {
    const letter = await written();
    await database.sequelize.query(
      "update contact set email = 'new@thornholtcollege.example' where key = 'hale'",
    );
    expect(await sendLetter(imke, letter)).toEqual({
      result: 'changed',
      changed: [{ label: 'goes to', now: 'new@thornholtcollege.example' }],
    });
  });

  it('is not held up by a fact it no longer says', async () => {
    const letter = await written();
    const [subject, ...body] = letter.document.content;
    const own = { type: 'paragraph' as const, content: [{ type: 'text' as const, text: 'Shall we talk?' }] };
    await database.sequelize.query("update contact set given_name = 'Hal' where key = 'hale'");
    expect(await sendLetter(imke, letter)).toMatchObject({ result: 'changed' });
    const document = { type: 'doc' as const, content: [subject!, own, ...body.slice(1)] };
    expect(await sendLetter(imke, { ...letter, document })).toMatchObject({ result: 'going' });
  });

  it('is stopped while something is missing', async () => {
    const letter = await written();
    const hole = { type: 'hole' as const, attrs: { id: 'x', kind: 'field' as const, label: 'order number' } };
    const open = { type: 'paragraph' as const, content: [hole] };
    const document = { type: 'doc' as const, content: [...letter.document.content, open] };
    expect(await sendLetter(imke, { ...letter, document })).toEqual({
      result: 'stopped',
      stops: ['“order number” is still missing.'],
    });
  });

  it('says when its record or its template is gone', async () => {
    const letter = await written();
    expect(await sendLetter(imke, { ...letter, start: { kind: 'invoice', key: 'LPC-9' } })).toEqual({
      result: 'gone',
      what: 'record',
    });
    expect(await sendLetter(imke, { ...letter, templateVersion: 9 })).toEqual({
      result: 'gone',
      what: 'template',
    });
  });
});

describe('on its way', () => {
  it('goes to one worker only, and not before its time', async () => {
    await sendLetter(imke, await written());
    expect(await claimLetter(database)).toBeUndefined();
    await itIsTime();
    const claims = await Promise.all([claimLetter(database), claimLetter(database)]);
    expect(claims.filter(Boolean)).toHaveLength(1);
  });

  it('is taken back while no worker has it, and not afterwards', async () => {
    const [first, second] = [await written(), await written({ start: { kind: 'invoice', key: 'LPC-1052' } })];
    await sendLetter(imke, first);
    expect(await takeBackLetter(imke, first.id)).toBe('taken back');
    await sendLetter(imke, second);
    await itIsTime();
    await claimLetter(database);
    expect(await takeBackLetter(imke, second.id)).toBe('going');
    expect(await takeBackLetter(imke, randomUUID())).toBeUndefined();
  });

  it('is let go of by a worker whose claim another has taken over', async () => {
    const letter = await written();
    await sendLetter(imke, letter);
    await itIsTime();
    const slow = (await claimLetter(database))!;
    await database.sequelize.query("update message set claimed_at = now() - interval '5 minutes'");
    const quick = (await claimLetter(database))!;
    await expect(beginHandover(database, slow)).rejects.toThrow('taken this letter over');
    await beginHandover(database, quick);
    await concludeTry(database, slow, { status: 'failed', detail: 'lost' }, new Date());
    expect(await oneLetter(imke, letter.id)).toMatchObject({ status: 'going' });
    await concludeTry(database, quick, { status: 'sent' }, new Date());
    expect(await oneLetter(imke, letter.id)).toMatchObject({ status: 'sent', reason: null });
  });

  it('is never sent again when a worker was killed while the server took it', async () => {
    const letter = await written();
    await sendLetter(imke, letter);
    await database.sequelize.query(
      `update message set goes_at = now(), claimed_at = now() - interval '5 minutes', handed_over_at = now() - interval '5 minutes'
       where status = 'going'`,
    );
    const server = await talking([]);
    await sendDueLetters(database, server.address);
    expect(server.heard).toEqual([]);
    expect(await oneLetter(imke, letter.id)).toMatchObject({
      status: 'failed',
      reason: expect.stringContaining('It may have arrived'),
    });
    server.close();
  });

  it('says in its text where the signature begins', async () => {
    const letter = await written();
    await sendLetter(imke, letter);
    await itIsTime();
    const server = await talking(['250 taken']);
    await sendDueLetters(database, server.address);
    expect(server.content.join('\n')).toContain('\n--=20\nImke Sandoval\n');
    server.close();
  });

  it('takes its pictures along', async () => {
    const start = { kind: 'booking', key: 'b01' } as const;
    const choices = { template: 'looking-after-it', answers: {} };
    const filled = new WritingDesk((await factsForWriting(imke, start))!).fill(start, choices)!;
    const letter = await written({ start, choices, document: filled.document, facts: factsOf(filled) });
    expect(await sendLetter(imke, letter)).toMatchObject({ result: 'going' });
    await itIsTime();
    const server = await talking(['250 taken']);
    await sendDueLetters(database, server.address);
    const content = server.content.join('\n');
    expect(content).toContain('Content-ID: <picture-1@letter>');
    expect(content.replaceAll('=\n', '')).toContain(
      '<img src=3D"cid:picture-1@letter" alt=3D"Larkfield Piano Care"',
    );
    server.close();
  });

  it('is sent again when a worker was killed before that', async () => {
    const letter = await written();
    await sendLetter(imke, letter);
    await database.sequelize.query(
      "update message set goes_at = now(), claimed_at = now() - interval '5 minutes' where status = 'going'",
    );
    const server = await talking(['250 taken']);
    await sendDueLetters(database, server.address);
    expect(await oneLetter(imke, letter.id)).toMatchObject({ status: 'sent' });
    expect(server.heard.filter((line) => line.startsWith('RCPT'))).toEqual([
      'RCPT TO:<accounts@thornholtcollege.example>',
    ]);
    server.close();
  });

  it('that nobody takes is tried again later, with the reason', async () => {
    const letter = await written();
    await sendLetter(imke, letter);
    await itIsTime();
    const again = await sendDueLetters(database, readMailServer('smtp://127.0.0.1:9'));
    expect(again!.getTime()).toBeGreaterThan(Date.now());
    expect(await oneLetter(imke, letter.id)).toMatchObject({
      status: 'going',
      reason: expect.stringContaining('ECONNREFUSED'),
      events: [{ kind: 'going' }, { kind: 'going', detail: expect.stringContaining('ECONNREFUSED') }],
    });
    expect(await claimLetter(database)).toBeUndefined();
  });

  it.each([
    ['451 Later', 'going'],
    ['554 Never', 'failed'],
  ])('answered with %j it is %s', async (words, status) => {
    const letter = await written();
    await sendLetter(imke, letter);
    await itIsTime();
    const server = await talking([words]);
    await sendDueLetters(database, server.address);
    expect(await oneLetter(imke, letter.id)).toMatchObject({ status, reason: words });
    server.close();
  });

  it('cut off while it is taken has failed, as nobody knows', async () => {
    const letter = await written();
    await sendLetter(imke, letter);
    await itIsTime();
    const server = await talking(['hang up']);
    await sendDueLetters(database, server.address);
    expect(await oneLetter(imke, letter.id)).toMatchObject({
      status: 'failed',
      reason: expect.stringContaining('ask before you write again'),
    });
    server.close();
  });
});

/** A mail server that answers the contents of letters with the words given. */
async function talking(answers: string[]) {
  const heard: string[] = [];
  const content: string[] = [];
  const server: Server = createServer((socket) => {
    let inContent = false;
    socket.setEncoding('utf8');
    socket.write('220 here\r\n');
    socket.on('error', () => undefined);
    socket.on('data', (chunk: string) => {
      for (const line of chunk.split('\r\n').slice(0, -1)) {
        if (inContent) {
          content.push(line);
          if (line !== '.') continue;
          inContent = false;
          const answer = answers.shift() ?? '250 taken';
          if (answer === 'hang up') return socket.destroy();
          socket.write(`${answer}\r\n`);
          continue;
        }
        heard.push(line);
        if (line.startsWith('DATA')) {
          inContent = true;
          socket.write('354 go on\r\n');
        } else socket.write('250 ok\r\n');
      }
      return undefined;
    });
  });
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  const { port } = server.address() as { port: number };
  return { heard, content, address: readMailServer(`smtp://127.0.0.1:${port}`), close: () => server.close() };
}

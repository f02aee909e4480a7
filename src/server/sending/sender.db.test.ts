import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { QueryTypes } from 'sequelize';
import { describe, expect, it, vi } from 'vitest';
import { claimLetters } from '../../data/repositories/sending/outgoing';
import { dismissWorker, seeWorker } from '../../data/repositories/sending/workers';
import { DEMONSTRATION } from '../../data/test/temporaryDatabase';
import { readMailServer, type MailServer } from '../../post/mailServer';
import { MailConnections } from '../../post/mailConnections';
import { keepTemplate } from '../templates/keepTemplate';
import { attachment } from '../letters/attachment';
import { oneLetter } from '../letters/oneLetter';
import { bringOwnFile } from '../files/ownFiles';
import { imke } from '../test/imke';
import { Ledger } from './ledger';
import { Sender } from './sender';
import type { WrittenLetter } from './readyToGo';
import { sendLetter } from './sendLetter';
import { needsSomebody } from './needsSomebody';
import { lettersWaiting, whyLetterWaits } from './sendingState';
import { takeBackLetter } from './takeBackLetter';
import { mailServer } from './test/mailServer';
import { written } from './test/written';
import { sendingDatabase } from './test/sendingDatabase';

const ground = sendingDatabase();

const SECOND = { start: { kind: 'invoice', key: 'LPC-1052' } } as const;

/** The ten seconds of every letter are over. */
const itIsTime = () =>
  ground.database.sequelize.query("update message set goes_at = now() where status = 'going'");

/** Letters whose time has come. */
async function due(...more: Partial<WrittenLetter>[]): Promise<string[]> {
  const ids: string[] = [];
  for (const one of more) {
    const letter = await written(one);
    expect(await sendLetter(imke, letter)).toMatchObject({ result: 'going' });
    ids.push(letter.id);
  }
  await itIsTime();
  return ids;
}

const sendAllDue = (server: MailServer) => new Sender(ground.database, server).sendAllDue();
const ANY = { full: [], serverMost: 64 };
const claim = async (worker: string) => (await claimLetters(ground.database, worker, 1, ANY))[0];

/** A worker that is there. */
async function worker(): Promise<string> {
  const id = randomUUID();
  await seeWorker(ground.database, id);
  return id;
}

describe('a letter on its way', () => {
  it('goes to one worker only, and not before its time', async () => {
    const [one, other] = [await worker(), await worker()];
    await sendLetter(imke, await written());
    expect(await claim(one)).toBeUndefined();
    await itIsTime();
    const claims = await Promise.all([claim(one), claim(other)]);
    expect(claims.filter(Boolean)).toHaveLength(1);
  });

  it('is taken back while no worker has it, and not afterwards', async () => {
    const [first, second] = [await written(), await written(SECOND)];
    await sendLetter(imke, first);
    expect(await takeBackLetter(imke, first.id)).toEqual({ status: 'taken back', taken: true });
    await sendLetter(imke, second);
    await itIsTime();
    await claim(await worker());
    expect(await takeBackLetter(imke, second.id)).toEqual({ status: 'going', taken: false });
    expect(await takeBackLetter(imke, randomUUID())).toBeUndefined();
  });

  it('stays with its worker as long as that is seen, and then another may take it, who alone may end it', async () => {
    const [id] = await due({});
    const [slow, quick] = [await worker(), await worker()];
    const first = (await claim(slow))!;
    expect(await claim(quick)).toBeUndefined();
    await dismissWorker(ground.database, slow);
    const second = (await claim(quick))!;
    await expect(new Ledger(ground.database).begin(first)).rejects.toThrow('taken this letter over');
    await new Ledger(ground.database).begin(second);
    await new Ledger(ground.database).conclude(first, { status: 'failed', detail: 'lost' });
    expect(await oneLetter(imke, id!)).toMatchObject({ status: 'going' });
    await new Ledger(ground.database).conclude(second, { status: 'sent' });
    expect(await oneLetter(imke, id!)).toMatchObject({ status: 'sent', reason: null });
  });

  it('is never sent again when a worker was killed while the server took it', async () => {
    const [id] = await due({});
    const killed = await worker();
    await new Ledger(ground.database).begin((await claim(killed))!);
    await dismissWorker(ground.database, killed);
    const server = await mailServer();
    await sendAllDue(server.address);
    expect(server.heard).toEqual([]);
    expect(await oneLetter(imke, id!)).toMatchObject({
      status: 'may have arrived',
      reason: expect.stringContaining('Ask the client'),
    });
    server.close();
  });

  it('is sent again when a worker was killed before that', async () => {
    const [id] = await due({});
    const killed = await worker();
    await claim(killed);
    await dismissWorker(ground.database, killed);
    const server = await mailServer();
    await sendAllDue(server.address);
    expect(await oneLetter(imke, id!)).toMatchObject({ status: 'sent' });
    expect(server.heard.filter((line) => line.startsWith('RCPT'))).toEqual([
      'RCPT TO:<accounts@thornholtcollege.example>',
    ]);
    server.close();
  });

  it('says in its text where the signature begins', async () => {
    await due({});
    const server = await mailServer();
    await sendAllDue(server.address);
    expect(server.content.join('\n')).toContain('\n--=20\nImke Sandoval\n');
    server.close();
  });

  it('takes its pictures along', async () => {
    const start = { kind: 'booking', key: 'b01' } as const;
    const words = await readFile(
      path.join(DEMONSTRATION, 'templates', 'afterwards-looking-after-it.md'),
      'utf8',
    );
    const withLogo = words.replace('\nHello', '\n{{business.logo | width 180}}\n\nHello');
    expect(await keepTemplate(imke, 'looking-after-it', 1, withLogo)).toMatchObject({ result: 'kept' });
    await due({ start, choices: { template: 'looking-after-it', answers: {} }, templateVersion: 2 });
    const server = await mailServer();
    await sendAllDue(server.address);
    const content = server.content.join('\n');
    expect(content).toContain('Content-ID: <picture-1@letter>');
    expect(content.replaceAll('=\n', '')).toContain(
      '<img src=3D"cid:picture-1@letter" alt=3D"Larkfield Piano Care"',
    );
    server.close();
  });

  it('takes along the files that its template names, as they were when it was sent', async () => {
    const invoice = { start: { kind: 'invoice', key: 'LPC-1048' } } as const;
    const words = await readFile(path.join(DEMONSTRATION, 'templates', 'money-first-reminder.md'), 'utf8');
    const withFiles = words.replace('\n---\n', '\nattach: [Terms.txt, Prices.txt]\n---\n');
    expect(await keepTemplate(imke, 'first-reminder', 1, withFiles)).toMatchObject({ result: 'kept' });
    const letter = { ...invoice, templateVersion: 2 };
    expect(await sendLetter(imke, await written(letter))).toEqual({
      result: 'stopped',
      stops: [
        '“Terms.txt” is not among the business’s files. Leave it out, and read whether the letter speaks of it.',
        '“Prices.txt” is not among the business’s files. Leave it out, and read whether the letter speaks of it.',
      ],
    });
    await bringOwnFile(imke, 'prices.txt', Buffer.from('Tuning 78'));
    const choices = { template: 'first-reminder', answers: {}, leftOut: ['Terms.txt'] };
    const [id] = await due({ ...letter, choices });
    const taken = (await bringOwnFile(imke, 'Prices.txt', Buffer.from('Tuning 85'))) as { sha256: string };
    await bringOwnFile(imke, 'Prices.txt', Buffer.from('Tuning 85'), taken.sha256);
    const server = await mailServer();
    await sendAllDue(server.address);
    const content = server.content.join('\n');
    expect(content).toContain('Content-Disposition: attachment; filename=prices.txt');
    expect(content).toContain(Buffer.from('Tuning 78').toString('base64'));
    expect(content).not.toContain('Terms.txt');
    expect(await oneLetter(imke, id!)).toMatchObject({
      attachments: [{ name: 'prices.txt', position: 1, size: 9 }],
    });
    expect((await attachment(imke, id!, '1'))?.content.toString()).toBe('Tuning 78');
    expect(await attachment(imke, id!, '2')).toBeUndefined();
    expect(await attachment(imke, 'none', '1')).toBeUndefined();
    server.close();
  });

  it.each([
    ['451 Later', 'going', '451 Later'],
    ['554 Never', 'failed', '554 Never'],
    ['hang up', 'may have arrived', expect.stringContaining('Ask the client')],
  ])('whose content is answered with %j is %s', async (words, status, reason) => {
    const [id] = await due({});
    const server = await mailServer({ contents: [words] });
    await sendAllDue(server.address);
    expect(await oneLetter(imke, id!)).toMatchObject({ status, reason });
    server.close();
  });

  it('that is refused for over an hour is told of, is still tried, and fails after two days', async () => {
    const [id] = await due({});
    const told = async () => (await needsSomebody(imke)).letters.map((one) => one.id).includes(id!);
    const state = async () => {
      const [row] = await ground.database.sequelize.query<{ status: string; pause: number }>(
        `select status, round(extract(epoch from goes_at - now()))::int as pause from message where id = '${id}'`,
        { type: QueryTypes.SELECT },
      );
      return row!;
    };
    let waited = 0;
    for (let tries = 1; tries < 40; tries++) {
      const server = await mailServer({ contents: ['451 Later'] });
      await sendAllDue(server.address);
      server.close();
      const { status, pause } = await state();
      expect(await told(), `after ${waited} s`).toBe(waited >= 3600 || status === 'failed');
      if (status === 'failed') break;
      waited += pause;
      await itIsTime();
    }
    expect(Math.round(waited / 3600)).toBe(48);
    expect((await state()).status).toBe('failed');
  });

  it('that cannot be made into a message, or has been tried too often, has failed', async () => {
    const [unwritable, often] = await due({}, SECOND);
    await ground.database.sequelize.query(
      `update message set language = 'no-such-language-at-all-is-there' where id = '${unwritable}'`,
    );
    await ground.database.sequelize.query(`update message set tries = 40 where id = '${often}'`);
    const server = await mailServer();
    await sendAllDue(server.address);
    expect(server.heard).toEqual([]);
    expect(await oneLetter(imke, unwritable!)).toMatchObject({
      status: 'failed',
      reason: expect.stringContaining('Write it anew.'),
    });
    expect(await oneLetter(imke, often!)).toMatchObject({
      status: 'failed',
      reason: expect.stringContaining('tried many times'),
    });
    server.close();
  });

  it('goes over a connection that is kept, and over a new one when the server has ended it', async () => {
    const server = await mailServer({ contents: ['250 taken', 'hang up'] });
    const connections = new MailConnections(server.address, 1);
    const envelope = { from: 'office@larkfield.example', to: ['oda@hartigan.example'] };
    const handOver = () => connections.handOver(envelope, Buffer.from('x\r\n'), async () => undefined);
    const results = [(await handOver()).result, (await handOver()).result, (await handOver()).result];
    expect(results).toEqual(['taken', 'unknown', 'taken']);
    expect(server.connections()).toBe(2);
    connections.stop();
    server.close();
  });
});

describe('a server that takes no letters', () => {
  it.each([
    ['that is not there', undefined, /ECONNREFUSED/],
    ['that refuses everybody', { greeting: '554 No service' }, /554 No service/],
    ['that refuses the password', { signIn: '535 Wrong password' }, /535 Wrong password/],
    ['that is busy', { greeting: '421 Come back later' }, /421 Come back later/],
  ])('%s holds up all letters, loses none, and is told', async (_, lines, words) => {
    const [id] = await due({}, SECOND);
    const server = lines && (await mailServer(lines));
    await sendAllDue(server?.address ?? readMailServer('smtp://127.0.0.1:9'));
    server?.close();
    expect(await oneLetter(imke, id!)).toMatchObject({
      status: 'going',
      goes_in: 0,
      events: [{ kind: 'going' }],
    });
    await worker();
    expect(await whyLetterWaits(imke, id!)).toMatch(words);
    // Nobody tries before the pause is over, and then one letter does. A slow machine does not end the pause.
    const works = await mailServer();
    const pauseEnds = (at: string) =>
      ground.database.sequelize.query(
        `update sending_trouble set again_at = ${at} where again_at > now() - interval '1 minute'`,
      );
    const [, held] = await pauseEnds("now() + interval '1 hour'");
    expect((held as { rowCount: number }).rowCount).toBe(1);
    await sendAllDue(works.address);
    expect(works.connections()).toBe(0);
    await pauseEnds('now()');
    await sendAllDue(works.address);
    expect(works.heard.filter((line) => line.startsWith('RCPT'))).toHaveLength(2);
    expect(await oneLetter(imke, id!)).toMatchObject({ status: 'sent' });
    await worker();
    expect(await lettersWaiting(imke)).toEqual({ letters: 0 });
    works.close();
  });

  it('takes none from one sender, and those of others go on', async () => {
    const [hers, his] = await due({}, SECOND);
    await ground.database.sequelize.query(
      `update message set from_address = 'runa@larkfield.example' where status = 'going' and id <> '${hers}'`,
    );
    const server = await mailServer({
      sender: (line) => (/runa[+@]/.test(line) ? '550 Not yours to send from' : '250 ok'),
    });
    await sendAllDue(server.address);
    expect(await oneLetter(imke, hers!)).toMatchObject({ status: 'sent' });
    await worker();
    expect(await whyLetterWaits(imke, hers!)).toBeUndefined();
    expect(await whyLetterWaits(imke, his!)).toMatch(
      'takes no letters from runa@larkfield.example and is asked again. It said: 550 Not yours',
    );
    server.close();
  });

  it('is said to be none where nothing sends', async () => {
    await due({});
    await ground.database.sequelize.query(
      "update message set goes_at = now() - interval '1 minute' where status = 'going'",
    );
    expect(await lettersWaiting(imke)).toEqual({
      letters: 1,
      why: expect.stringContaining('Nothing is sending at the moment.'),
    });
  });
});

describe('a letter that waits for a person', () => {
  it('should have gone longer ago than the business lets pass', async () => {
    const [late, soon] = await due({}, SECOND);
    const ago = (id: string, hours: number) =>
      ground.database.sequelize.query(
        `update message set goes_at = now() - interval '${hours} hours' where id = '${id}'`,
      );
    await ago(late!, 7);
    await ago(soon!, 5);
    const server = await mailServer();
    await sendAllDue(server.address);
    expect(await oneLetter(imke, late!)).toMatchObject({
      status: 'held',
      reason: 'It should have gone more than 6 hours ago. See whether it is still right.',
    });
    expect(await oneLetter(imke, soon!)).toMatchObject({ status: 'sent' });
    server.close();
  });

  it('was on its way when the database was copied, or may have arrived', async () => {
    const [waiting, begun] = await due({}, SECOND);
    await ground.database.sequelize.query(`update message set handed_over_at = now() where id = '${begun}'`);
    // As a dump brings it back: with the mark of the database it was taken from.
    await ground.database.sequelize.query("update own_mark set mark = 'another'");
    const server = await mailServer();
    expect(await claim(await worker())).toBeUndefined();
    await sendAllDue(server.address);
    expect(await oneLetter(imke, waiting!)).toMatchObject({
      status: 'held',
      reason: expect.stringContaining('It may have gone out already'),
    });
    expect(await oneLetter(imke, begun!)).toMatchObject({ status: 'may have arrived' });
    expect(server.heard).toEqual([]);
    server.close();
  });
});

it('a stop ends after the letters in hand, and the next worker goes on at once', async () => {
  const ids = await due({}, SECOND, { choices: { template: 'second-reminder', answers: {} } });
  const server = await mailServer({ sender: () => '250 ok' });
  const sender = new Sender(ground.database, server.address);
  const running = sender.run();
  await vi.waitFor(() => expect(server.heard.length).toBeGreaterThan(0), { timeout: 5000 });
  sender.stop();
  await running;
  await sendAllDue(server.address);
  for (const id of ids) expect(await oneLetter(imke, id)).toMatchObject({ status: 'sent' });
  expect(server.heard.filter((line) => line.startsWith('RCPT'))).toHaveLength(3);
  expect(await ground.database.models.message.count({ where: { status: 'going' } })).toBe(0);
  server.close();
});

import { mkdtemp, readdir, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { takeBefore } from '../../../stand-ins/mailbox/before';
import { Letters } from '../../../stand-ins/mailbox/letters';
import { connection } from '../connection';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { writeLettersThatArrived } from './writeLettersThatArrived';

demonstrationDatabase();
let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(path.join(tmpdir(), 'mailboxes-'));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

it('what has arrived lies in its reader’s mailbox, as it went and from that day, and what came back does not', async () => {
  await writeFile(path.join(folder, 'of-yesterday.eml'), 'Subject: Another business\r\n\r\n');
  await connection().acrossBusinesses(() => writeLettersThatArrived(connection(), folder));
  const letters = new Letters();
  await takeBefore(letters, folder);

  const went = await connection().acrossBusinesses(() =>
    connection().sequelize.query<{ subject: string; at: Date; address: string; status: string }>(
      `select subject, at, address, status from message join message_recipient reader
       on reader.business_id = message.business_id and reader.message_id = message.id
     where direction = 'out' and status <> 'draft' order by message.sequence`,
      { type: QueryTypes.SELECT },
    ),
  );
  const arrived = went.filter(({ status }) => ['sent', 'delivered', 'opened'].includes(status));
  expect(arrived.length).toBeGreaterThan(20);
  expect(arrived.length).toBeLessThan(went.length);
  for (const { subject, at, address } of arrived) {
    const lies = letters.list(address).map((one) => `${one.subject}, ${one.receivedAt}`);
    expect(lies).toContain(`${subject}, ${new Date(Math.floor(at.getTime() / 1000) * 1000).toISOString()}`);
  }
  expect(letters.list()).toHaveLength((await readdir(folder)).length);
  expect(letters.list('oda@hartigan.example')[0]).toMatchObject({
    envelopeFrom: expect.stringMatching(/@larkfield\.example$/) as string,
    to: ['oda@hartigan.example'],
  });
  // What servers wrote around it is no part of the letter.
  expect(letters.list()[0]!.headers.map(({ name }) => name)).not.toContain('delivered-to');
});

it('without such a folder there are none', async () => {
  const letters = new Letters();
  await takeBefore(letters, path.join(folder, 'none'));
  expect(letters.list()).toEqual([]);
});

import { mkdir, mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { QueryTypes } from 'sequelize';
import { expect, it } from 'vitest';
import { inMbox } from '../../post/mbox';
import { connection } from '../connection';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { readOriginal, takeMail } from './takeMail';
import { takeFromFiles } from './takeFromFiles';
import { message } from './test/awkward';

demonstrationDatabase();
const IMKE = 'imke@larkfield.example';
const NONE = { taken: 0, noted: 0, known: 0, left: 0, 'no room': 0, 'too large': 0, 'no message': 0 };

let count = 0;
const mail = (more: Record<string, string | undefined>) =>
  message(
    {
      'Message-ID': `<files-${++count}@elsewhere.example>`,
      'In-Reply-To': undefined,
      Date: 'Mon, 02 Nov 2026 10:00:00 +0000',
      ...more,
    },
    'Thank you.\n',
  );
const kept = (words: string) =>
  connection().inBusiness(imke.business_id, () =>
    connection().sequelize.query<{ subject: string }>(
      `select subject, direction, status, client.key as client, at from message left join client on client.id = client_id
       where subject like '${words}%' order by subject`,
      { type: QueryTypes.SELECT },
    ),
  );

async function maildir(files: Record<string, Buffer>): Promise<string> {
  const folder = await mkdtemp(path.join(tmpdir(), 'maildir-'));
  for (const part of ['cur', 'new', 'tmp']) await mkdir(path.join(folder, part));
  for (const [name, content] of Object.entries(files)) await writeFile(path.join(folder, name), content);
  return folder;
}

it('a Maildir is taken in, each message once, without what its owner has thrown away or is none of the business’s', async () => {
  const place = await maildir({
    'cur/1.here:2,S': mail({ Subject: 'Dir: seen' }),
    'cur/2.here:2,ST': mail({ Subject: 'Dir: thrown away' }),
    'new/3.here': mail({ Subject: 'Dir: new' }),
    'new/4.here': mail({ Subject: 'Dir: news', From: 'news@felt.example', 'List-Id': '<news.felt.example>' }),
    'tmp/5.here': mail({ Subject: 'Dir: half' }),
  });
  expect(await takeFromFiles(place, IMKE, 'inbox')).toEqual({ ...NONE, taken: 2, left: 1 });
  expect(await takeFromFiles(place, IMKE, 'inbox')).toEqual({ ...NONE, known: 2, left: 1 });
  expect(
    await takeFromFiles(await maildir({ 'new/1': Buffer.from('Felt and wire.') }), IMKE, 'inbox'),
  ).toEqual({
    ...NONE,
    'no message': 1,
  });
  const came = { direction: 'in', client: 'hartigan', at: new Date('2026-11-02T10:00:00Z') };
  expect(await kept('Dir:')).toMatchObject([
    { ...came, subject: 'Dir: new' },
    { ...came, subject: 'Dir: seen' },
  ]);
});

it('a mailbox file of what was sent joins the letters of clients alone', async () => {
  const from = `Imke <${IMKE}>`;
  const messages = [
    mail({ Subject: 'File: to Oda', From: from, To: 'oda@hartigan.example' }),
    mail({ Subject: 'File: to a friend', From: from, To: 'friend@home.example' }),
  ];
  const file = path.join(await mkdtemp(path.join(tmpdir(), 'mbox-')), 'sent');
  await writeFile(file, Buffer.concat(messages.map((one) => inMbox(one, { from: IMKE, at: new Date() }))));
  expect(await takeFromFiles(file, IMKE, 'sent')).toEqual({ ...NONE, taken: 1, left: 1 });
  expect(await kept('File:')).toMatchObject([
    { subject: 'File: to Oda', direction: 'out', status: 'sent', client: 'hartigan' },
  ]);
});

it('says in a sentence what cannot be', async () => {
  await expect(takeFromFiles('/no/such/place', IMKE, 'inbox')).rejects.toThrow('no file or folder');
  await expect(takeFromFiles(tmpdir(), IMKE, 'inbox')).rejects.toThrow('is no Maildir');
  await expect(takeFromFiles(await maildir({}), 'nobody@else.example', 'inbox')).rejects.toThrow(
    'No business here has the address',
  );
});

it('a letter that may have arrived has, where it lies among what was sent', async () => {
  const state = () =>
    connection().inBusiness(imke.business_id, () =>
      connection().sequelize.query<{ status: string; detail: string }>(
        `select status, reason, (select detail from delivery_event one where one.message_id = message.id order by position desc limit 1) as detail
         from message where message_id = 'm-invoice-59@larkfield.example'`,
        { type: QueryTypes.SELECT },
      ),
    );
  await connection().inBusiness(imke.business_id, () =>
    connection().sequelize.query(
      "update message set status = 'may have arrived', reason = 'The line broke.' where message_id = 'm-invoice-59@larkfield.example'",
    ),
  );
  const own = message(
    { From: IMKE, To: 'oda@hartigan.example', 'Message-ID': '<m-invoice-59@larkfield.example>' },
    'Your invoice.\n',
  );
  const original = await readOriginal(own);
  const at = new Date('2026-11-25T09:00:00Z');
  const inFolder = (folder: 'inbox' | 'sent') =>
    takeMail(imke.business_id, original, at, { by: 'mailbox', folder, member_id: imke.id });
  expect(await inFolder('inbox')).toEqual({ result: 'known' });
  expect(await state()).toMatchObject([{ status: 'may have arrived' }]);
  expect(await inFolder('sent')).toEqual({ result: 'known' });
  expect(await state()).toEqual([
    { status: 'sent', reason: null, detail: 'It lies in the mailbox, among what was sent.' },
  ]);
});

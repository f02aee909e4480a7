import { expect, it } from 'vitest';
import { newClientKey } from '../../core/records/which/newClient';
import { blankLetterKey } from '../../core/template/blankLetter';
import { recordFacts } from '../records/keepRecord';
import { recordFiles } from '../files/recordFiles';
import { oneLetter } from '../letters/oneLetter';
import { sendLetter } from '../sending/sendLetter';
import { takeBackLetter } from '../sending/takeBackLetter';
import { sendingDatabase } from '../sending/test/sendingDatabase';
import { written } from '../sending/test/written';
import { imke } from '../test/imke';
import { answersWaiting } from './answersWaiting';
import { giveToMember } from './giveToMember';
import { keepFile } from './keepFile';
import { makeEnquiry } from './makeEnquiry';
import { readOriginal, takeMail } from './takeMail';
import { message, multipart } from './test/awkward';

sendingDatabase();
const NOBODY = {
  From: 'Bram Tolliver <bram@tolliver.example>',
  'In-Reply-To': undefined,
  Subject: 'A harpsichord',
};
const WORDS =
  'Hello,\n\ncould there be a tuning visit on 9 December 2026?\nYou reach me at 07700 900321.\n\nBram';

async function taken(more: Record<string, string | undefined>, body: string) {
  const became = await takeMail(
    imke.business_id,
    await readOriginal(message(more, body)),
    new Date('2026-11-25T09:00:00Z'),
    { by: 'server' },
  );
  return (became as { message: string }).message;
}

it('somebody in no record stands apart, with what they ask, and becomes an enquiry once', async () => {
  const id = await taken(NOBODY, WORDS);
  const { known, unknown } = await answersWaiting(imke);
  expect(known.map(({ client_key }) => client_key)).toEqual(['reyes', 'hartigan']);
  expect(unknown).toMatchObject([
    {
      letter: { id },
      asks: {
        name: 'Bram Tolliver',
        phone: '07700 900321',
        service: 'tuning visit',
        days: ['Wednesday 9 December'],
      },
    },
  ]);
  const made = await makeEnquiry(imke, id);
  expect(await makeEnquiry(imke, id)).toEqual(made);
  const { key } = made as { key: string };
  expect(await recordFacts(imke, 'enquiry', key)).toMatchObject({
    name: 'Bram Tolliver',
    email: 'bram@tolliver.example',
    phone: '07700 900321',
    wanted_on: ['2026-12-09'],
    via: 'email',
    status: 'waiting',
    message: WORDS,
  });
  expect(await oneLetter(imke, id)).toMatchObject({ about: { kind: 'enquiry', key }, waits: true });
  expect((await answersWaiting(imke)).unknown).toEqual([]);
});

it('an answer is whose the letter was, and is given to another; the later of two is told', async () => {
  const id = await taken({ 'In-Reply-To': '<m-visit-b51@larkfield.example>' }, 'Good.');
  const { member_key, version } = (await oneLetter(imke, id))!;
  expect(member_key).toBe('runa');
  expect(await giveToMember(imke, id, { member: 'teo', version })).toBe(true);
  expect(await giveToMember(imke, id, { member: 'imke', version })).toBe(false);
  expect(await giveToMember(imke, id, { member: 'nobody', version: version + 1 })).toBe(false);
  expect((await oneLetter(imke, id))!.member_key).toBe('teo');
  expect(await giveToMember(imke, id, { member: null, version: version + 1 })).toBe(true);
  expect((await oneLetter(imke, id))!.member_key).toBeNull();
});

it('whoever is answered becomes a client, with all that had come from them; taken back, nobody’s again', async () => {
  const [first, second] = [
    await taken({ ...NOBODY, 'Message-ID': '<one@tolliver.example>' }, WORDS),
    await taken({ ...NOBODY, 'Message-ID': '<two@tolliver.example>' }, 'And bring the long fork.'),
  ];
  const start = { kind: 'client', key: newClientKey('Bram Tolliver', 'bram@tolliver.example')! } as const;
  const letter = await written({
    start,
    choices: {
      template: blankLetterKey('client', undefined, 'en-GB'),
      answers: {},
      reply: { to: first, subject: 'A harpsichord', quotes: true },
    },
  });
  const { client } = (await sendLetter(imke, letter)) as { client?: string };
  expect(client).toBe('bram-tolliver');
  for (const id of [first, second]) expect((await oneLetter(imke, id))!.client_key).toBe(client);
  expect((await oneLetter(imke, first))!.waits).toBe(false);
  expect((await oneLetter(imke, second))!.waits).toBe(true);
  await takeBackLetter(imke, letter.id);
  for (const id of [first, second])
    expect(await oneLetter(imke, id)).toMatchObject({ client_key: null, waits: true });
});

it('a file that came is kept with the job in one press, and there is none where nobody knows whose it is', async () => {
  const mixed = multipart(
    'mixed',
    ['Content-Type: text/plain', 'Here it is.'],
    ['Content-Type: text/plain; name="Key.txt"\r\nContent-Disposition: attachment', 'B flat'],
  );
  const of = {
    ...mixed.type,
    'In-Reply-To': '<m-how-reyes@larkfield.example>',
    'Message-ID': '<file@x.example>',
  };
  const id = await taken(of, mixed.body);
  expect(await keepFile(imke, id, '1')).toMatchObject({ result: 'done', file: { name: 'Key.txt' } });
  const { files } = (await recordFiles(imke, { kind: 'project', key: 'reyes-restoration' }))!;
  expect(files.map(({ name }) => name)).toContain('Key.txt');
  expect(await keepFile(imke, id, '2')).toMatchObject({ result: 'gone' });
  const nobodys = await taken({ ...NOBODY, ...mixed.type, 'Message-ID': '<file2@x.example>' }, mixed.body);
  expect(await keepFile(imke, nobodys, '1')).toMatchObject({ result: 'wrong' });
});

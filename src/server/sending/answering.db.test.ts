import { expect, it } from 'vitest';
import { readReplyMark } from '../../core/incoming/replyMark';
import { blankLetterKey } from '../../core/template/blankLetter';
import { stableId } from '../../data/stableId';
import { readMail } from '../../post/reading/readMail';
import { message } from '../incoming/test/awkward';
import { readOriginal, takeMail } from '../incoming/takeMail';
import { oneLetter } from '../letters/oneLetter';
import { factsForWriting } from '../writing/factsForWriting';
import { imke } from '../test/imke';
import { Sender } from './sender';
import { sendLetter } from './sendLetter';
import { mailServer } from './test/mailServer';
import { sendingDatabase } from './test/sendingDatabase';
import { written } from './test/written';

const ground = sendingDatabase();
const ANSWER = stableId('message', 'm-in-hartigan');
const START = { kind: 'client', key: 'hartigan' } as const;

/** Answers a message, has the answer go, and gives it as it went, with its envelope. */
async function answered(to: string, offers?: string) {
  const facts = (await factsForWriting(imke, START, { reply: to }))!.answered!;
  const letter = await written({
    start: START,
    choices: {
      template: blankLetterKey('client', undefined, 'en-GB'),
      answers: {},
      reply: { to, subject: facts.subject, quotes: true },
    },
  });
  expect(await sendLetter(imke, letter)).toMatchObject({ result: 'going' });
  await ground.database.sequelize.query("update message set goes_at = now() where status = 'going'");
  const server = await mailServer(offers ? { offers } : {});
  await new Sender(ground.database, server.address).sendAllDue();
  server.close();
  const { mail } = await readMail(Buffer.from(server.content.slice(0, -1).join('\r\n')));
  return { id: letter.id, mail, heard: server.heard, facts };
}

it('an answer goes on in the thread, with their words below, and is answered to an address that says which it is', async () => {
  const { id, mail, heard, facts } = await answered(ANSWER, 'DSN');
  expect(heard.find((line) => line.startsWith('MAIL FROM'))).toContain('RET=HDRS');
  expect(heard.find((line) => line.startsWith('RCPT TO'))).toContain('NOTIFY=SUCCESS,FAILURE,DELAY');
  expect(facts.line).toMatch(/^On 23 November 2026 at 07:55, Oda Hartigan wrote:$/);
  expect(mail.subject).toBe('Re: Invoice LPC-1059');
  expect(mail.inReplyTo).toEqual(['m-in-hartigan@larkfield.example']);
  expect([...mail.references].reverse()).toEqual([
    'm-invoice-59@larkfield.example',
    'm-in-hartigan@larkfield.example',
  ]);
  expect(mail.text).toContain('Oda Hartigan wrote:\n> Thanks. Is the tank meant to be filled');
  const [replyTo] = mail.headers.get('reply-to')!;
  expect(readReplyMark(/<(.+)>/.exec(replyTo!)![1]!)).toEqual({
    letter: id,
    address: 'imke@larkfield.example',
  });
  expect(heard.find((line) => line.startsWith('MAIL FROM'))).toContain(/<(.+)>/.exec(replyTo!)![1]);
  expect(await oneLetter(imke, id)).toMatchObject({
    status: 'sent',
    text: expect.not.stringContaining('tank'),
  });

  // What they answer to that goes on in it, too, and so does the answer to that.
  const raw = message(
    { 'Message-ID': '<second@hartigan.example>', 'In-Reply-To': `<${mail.messageId}>`, To: replyTo },
    'Good.\n',
  );
  const taken = await takeMail(imke.business_id, await readOriginal(raw), new Date('2026-11-25T09:00:00Z'), {
    by: 'server',
  });
  const second = await answered((taken as { message: string }).message);
  expect(second.mail.inReplyTo).toEqual(['second@hartigan.example']);
  expect([...second.mail.references].reverse()).toEqual([
    'm-invoice-59@larkfield.example',
    'm-in-hartigan@larkfield.example',
    mail.messageId,
    'second@hartigan.example',
  ]);
});

it('where marks are not wanted, a letter is answered to as it is from', async () => {
  await ground.database.sequelize.query('update business set marks_replies = false');
  const { mail, heard } = await answered(ANSWER, 'DSN');
  expect(heard.filter((line) => /RET=|NOTIFY=/.test(line))).toEqual([]);
  expect(mail.headers.get('reply-to')).toBeUndefined();
  expect(heard).toContain('MAIL FROM:<imke@larkfield.example>');
});

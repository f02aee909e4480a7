import { buffer, text } from 'node:stream/consumers';
import { expect, it } from 'vitest';
import { simpleParser } from 'mailparser';
import { messagesIn } from '../../post/mbox';
import { lettersOut } from '../letters/lettersOut';
import { post } from '../letters/post';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { bringLetters } from './bringLetters';
import { message } from './test/awkward';

demonstrationDatabase();
const ODA = 'Oda Hartigan <oda@hartigan.example>';
const IMKE = 'Imke Sandoval <imke@larkfield.example>';

it('letters that were written elsewhere join a client’s, each once, out and in, as of when they were written', async () => {
  const theirs = message(
    {
      'Message-ID': '<1@x.example>',
      'In-Reply-To': '<m-invoice-59@larkfield.example>',
      Date: 'Mon, 02 Nov 2026 10:00:00 +0000',
    },
    'By telephone, then.\n',
  );
  const ours = message(
    {
      From: IMKE,
      To: ODA,
      'Message-ID': '<2@x.example>',
      'In-Reply-To': '<1@x.example>',
      Date: 'Tue, 03 Nov 2026 10:00:00 +0000',
    },
    'From Tuesday on.\n',
  );
  const file = Buffer.concat(
    [theirs, ours].flatMap((one) => [
      Buffer.from('From x Mon Nov  2 10:00:00 2026\n'),
      Buffer.from(one.toString().replace(/^From /gm, '>From ')),
      Buffer.from('\n'),
    ]),
  );
  const none = { reports: 0, unreadable: 0, noRoom: 0, more: false };
  expect(await bringLetters(imke, file)).toEqual({ taken: 2, known: 0, ...none });
  expect(await bringLetters(imke, file)).toEqual({ taken: 0, known: 2, ...none });
  const { letters } = await post(imke);
  const [answer, letter] = ['1@x.example', '2@x.example'].map((_, at) =>
    letters.find(({ text: words }) => words.includes(['By telephone', 'From Tuesday'][at]!)),
  );
  expect(answer).toMatchObject({ direction: 'in', client_key: 'hartigan', waits: false });
  expect(answer!.at.toISOString()).toBe('2026-11-02T10:00:00.000Z');
  expect(letter).toMatchObject({
    direction: 'out',
    status: 'sent',
    client_key: 'hartigan',
    member_key: 'imke',
    about: { key: 'LPC-1059' },
    reason: 'It was written in another mail program.',
  });
});

it('what is no message is told', async () => {
  const nothing = { taken: 0, known: 0, reports: 0, noRoom: 0, more: false };
  expect(await bringLetters(imke, Buffer.from('%PDF-1.7 no message'))).toEqual({ ...nothing, unreadable: 1 });
  expect(await bringLetters(imke, Buffer.from([0, 255, 254]))).toEqual({ ...nothing, unreadable: 1 });
});

it('all letters of a client come out as a mailbox file and as a zip, and are known when they come in again', async () => {
  const mbox = Buffer.from(await text((await lettersOut(imke, 'hartigan', 'mbox'))!));
  const messages = messagesIn(mbox, 1000);
  expect(messages.length).toBeGreaterThan(3);
  const read = await Promise.all(messages.map((one) => simpleParser(one)));
  expect(read.map(({ text: words }) => words ?? '').join('\n')).toContain('Is the tank meant to be filled');
  expect(read.some(({ text: words }) => words?.startsWith('From Tuesday on.'))).toBe(true);
  const { taken, known } = await bringLetters(imke, mbox);
  expect({ taken, known }).toEqual({ taken: 0, known: messages.length });
  const zip = await buffer((await lettersOut(imke, 'hartigan', 'zip'))!);
  expect(zip.subarray(0, 2).toString()).toBe('PK');
  expect(zip.toString('latin1').match(/\.eml/g)!.length).toBe(messages.length * 2);
  expect(await lettersOut(imke, 'nobody', 'mbox')).toBeUndefined();
});

import { simpleParser } from 'mailparser';
import { SMTPServer } from 'smtp-server';
import { describe, expect, it } from 'vitest';
import { answerTo, deliver, reportOf, written } from './asClient';
import type { Letter } from './letters';

const LETTER: Letter = {
  id: 1,
  receivedAt: '2026-03-02T09:00:00Z',
  from: 'Imke <imke@larkfield.example>',
  envelopeFrom: 'imke+r1@larkfield.example',
  to: ['oda@hartigan.example'],
  subject: 'Your visit',
  text: 'Hello Oda',
  html: '',
  headers: [
    { name: 'from', value: 'Imke <imke@larkfield.example>' },
    { name: 'reply-to', value: '"Imke" <imke+r1@larkfield.example>' },
    { name: 'message-id', value: '<1@larkfield.example>' },
    { name: 'references', value: '<0@larkfield.example>' },
  ],
  attachments: [],
  raw: '',
};

describe('whoever got a letter', () => {
  it('answers in its thread, to the address that it asks for', async () => {
    const { to, raw } = await answerTo(LETTER, {
      text: 'Good.',
      quotes: true,
      files: [{ name: 'Key.txt', content: 'B flat' }],
    });
    const mail = await simpleParser(raw);
    expect(to).toBe('imke+r1@larkfield.example');
    expect(mail).toMatchObject({ subject: 'Re: Your visit', inReplyTo: '<1@larkfield.example>' });
    expect(mail.references).toEqual(['<0@larkfield.example>', '<1@larkfield.example>']);
    expect(mail.from?.value).toMatchObject([{ address: 'oda@hartigan.example' }]);
    expect(mail.text).toContain('Good.\n\nOn 2026-03-02, Imke <imke@larkfield.example> wrote:\n> Hello Oda');
    expect(mail.attachments).toMatchObject([{ filename: 'Key.txt' }]);
  });

  it('answers without any mark, from elsewhere, and by a program', async () => {
    const { to, raw } = await answerTo(LETTER, { unmarked: true, outOfOffice: true, from: 'per@x.example' });
    const mail = await simpleParser(raw);
    expect(to).toBe('imke@larkfield.example');
    expect([mail.inReplyTo, mail.references, mail.from?.value[0]?.address]).toEqual([
      undefined,
      undefined,
      'per@x.example',
    ]);
    expect(mail.headers.get('auto-submitted')).toBe('auto-replied');
  });

  it('writes of their own', async () => {
    const { to, raw } = await written({
      from: 'nell@x.example',
      to: 'Imke <imke@larkfield.example>',
      text: 'Hello',
    });
    expect([to, (await simpleParser(raw)).text?.trim()]).toEqual(['imke@larkfield.example', 'Hello']);
  });
});

describe('a server', () => {
  it('says in a report what became of a letter', async () => {
    const { to, raw } = await reportOf(LETTER, { state: 'delayed' });
    expect(to).toBe('imke+r1@larkfield.example');
    const mail = await simpleParser(raw, { keepDeliveryStatus: true });
    const status = mail.attachments.find(({ contentType }) => contentType === 'message/delivery-status')!;
    expect(status.content.toString()).toContain('rfc822; oda@hartigan.example');
    expect(status.content.toString()).toContain('Action: delayed');
    expect(raw.toString()).toContain('message-id: <1@larkfield.example>');
  });

  it('says it in words alone', async () => {
    const mail = await simpleParser((await reportOf(LETTER, { inWords: true })).raw);
    expect(mail.text).toContain('<oda@hartigan.example>: 550 5.1.1 No such mailbox here');
    expect(mail.attachments).toEqual([]);
  });
});

it('what is not taken when it is brought is said', async () => {
  let answer: Error | null = Object.assign(new Error('Come again'), { responseCode: 451 });
  const server = new SMTPServer({
    lmtp: true,
    disabledCommands: ['AUTH', 'STARTTLS'],
    logger: false,
    onData(stream, _, done) {
      stream.resume().on('end', () => done(null, [answer] as never));
    },
  });
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  const incoming = (server.server.address() as { port: number }).port;
  const brought = { to: 'imke@larkfield.example', raw: Buffer.from('Subject: x\r\n\r\nx\r\n') };
  await expect(deliver(brought, { incoming })).rejects.toThrow('Come again');
  answer = null;
  await deliver(brought, { incoming });
  await new Promise<void>((closed) => server.close(closed));
});

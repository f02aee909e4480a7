import { createConnection } from 'node:net';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { deliver, writtenElsewhere } from '../mailbox/asClient';
import { MAILBOX_PASSWORD, startDovecot, type Dovecot } from './startDovecot';

let dovecot: Dovecot;
beforeAll(async () => {
  // Above those that other tests take, below those that outgoing connections are given.
  dovecot = await startDovecot(32_000 + Math.floor(Math.random() * 700));
});
afterAll(() => dovecot.stop());

/** Says lines to it as a mail program; gives all that it says. */
async function talk(port: number, lines: readonly string[]): Promise<string> {
  return new Promise((resolve, reject) => {
    let said = '';
    let waitsFor = '* OK';
    const left = lines.map((line, at) => [`a${at} `, line] as const);
    const socket = createConnection(port, '127.0.0.1');
    socket.setEncoding('utf8');
    socket.on('data', (chunk: string) => {
      said += chunk;
      if (!said.split('\r\n').some((line) => line.startsWith(waitsFor))) return;
      const next = left.shift();
      if (!next) return;
      [waitsFor] = next;
      socket.write(`${next.join('')}\r\n`);
    });
    socket.on('end', () => resolve(said));
    socket.on('error', reject);
  });
}

it('has a mailbox for any address, which opens with one password alone', async () => {
  const { port } = dovecot;
  expect(await talk(port, [`LOGIN imke@larkfield.example wrong`, 'LOGOUT'])).toMatch(/a0 NO/);
  const said = await talk(port, [
    `LOGIN imke@larkfield.example ${MAILBOX_PASSWORD}`,
    'SELECT INBOX',
    'LOGOUT',
  ]);
  expect(said).toMatch(/a0 OK[\s\S]*\* 0 EXISTS/);
});

it('holds what is written to an address, whatever mark stands in it, and what its owner has written', async () => {
  const { port } = dovecot;
  const raw = Buffer.from('From: oda@hartigan.example\r\nSubject: The key\r\n\r\nThank you.\r\n');
  const business = { incoming: 1, imap: dovecot };
  await deliver({ to: 'imke+rabc@larkfield.example', raw }, business, true);
  const written = await writtenElsewhere(
    {
      from: 'Imke <imke@larkfield.example>',
      to: 'oda@hartigan.example',
      subject: 'From my phone',
      text: 'At nine.',
    },
    business,
  );
  expect(written.toString()).toContain('Subject: From my phone');
  const said = await talk(port, [
    `LOGIN imke@larkfield.example ${MAILBOX_PASSWORD}`,
    'SELECT INBOX',
    'FETCH 1 BODY.PEEK[HEADER.FIELDS (SUBJECT)]',
    'SELECT Sent',
    'FETCH 1 BODY.PEEK[HEADER.FIELDS (SUBJECT)]',
    'LOGOUT',
  ]);
  expect(said.match(/^Subject: .*$/gm)?.map((line) => line.trim())).toEqual([
    'Subject: The key',
    'Subject: From my phone',
  ]);
  await expect(deliver({ to: 'x@y.example', raw }, { incoming: 1 }, true)).rejects.toThrow('no Dovecot');
});

import { createServer } from 'node:http';
import { createTransport } from 'nodemailer';
import { afterEach, expect, it } from 'vitest';
import { Letters } from './letters';
import { showPictures } from './showPictures';
import { startSmtp } from './smtp';

const open: { close: (done: () => void) => unknown }[] = [];
afterEach(async () => {
  for (const one of open.splice(0)) await new Promise<void>((closed) => void one.close(closed));
});

async function mailbox() {
  const letters = new Letters();
  const server = startSmtp(letters, 0);
  open.push(server);
  await new Promise((listening) => server.server.once('listening', listening));
  const { port } = server.server.address() as { port: number };
  const send = (subject: string) => {
    const transport = createTransport({ host: '127.0.0.1', port, ignoreTLS: true });
    return transport
      .sendMail({
        from: 'imke@larkfield.example',
        to: 'oda@reader.example',
        subject,
        text: 'x'.repeat(100_000),
      })
      .finally(() => transport.close());
  };
  return { letters, send };
}

it('the line breaks in the middle of as many letters as it is told, and none of them is there', async () => {
  const { letters, send } = await mailbox();
  letters.cutNext(2);
  await expect(send('one')).rejects.toThrow();
  await expect(send('two')).rejects.toThrow();
  await send('three');
  expect(letters.list().map(({ subject }) => subject)).toEqual(['three']);
});

it('letters are refused, or taken slowly, as it is told', async () => {
  const { letters, send } = await mailbox();
  letters.refuseNext({ code: 550, words: 'No such mailbox here', to: 'oda@reader.example' }, 1);
  await expect(send('one')).rejects.toThrow('550 No such mailbox here');
  letters.delay = 300;
  const began = Date.now();
  await send('two');
  expect(Date.now() - began).toBeGreaterThanOrEqual(290);
});

it('the pictures of a letter are fetched where they are on this machine, and nowhere else', async () => {
  const asked: string[] = [];
  const server = createServer((request, response) => {
    asked.push(request.url!);
    response.end();
  });
  open.push(server);
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  const { port } = server.address() as { port: number };
  const html = (host: string) =>
    `<p>x</p><img alt="" width="1" src="http://${host}:${port}/opened/a.b?x=1&amp;y=2">`;
  await showPictures({ html: html('127.0.0.1') });
  expect(asked).toEqual(['/opened/a.b?x=1&y=2']);
  await expect(showPictures({ html: html('elsewhere.example') })).rejects.toThrow('nothing tells');
  await expect(showPictures({ html: '<img src="cid:a@letter">' })).rejects.toThrow('nothing tells');
});

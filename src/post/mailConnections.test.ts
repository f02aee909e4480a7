import { SMTPServer } from 'smtp-server';
import { afterEach, expect, it } from 'vitest';
import { readMailServer } from './mailServer';
import { MailConnections, Stopped } from './mailConnections';

const ENVELOPE = { from: 'imke@larkfield.example', to: ['oda@hartigan.example'] };
const MESSAGE = Buffer.from('Subject: A letter\r\n\r\nHello\r\n');
const begun = async () => undefined;

let server: SMTPServer;
afterEach(() => new Promise<void>((closed) => server.close(closed)));

/** A server that counts its connections, and takes no more than some at once. */
async function counting(most: number) {
  let [open, highest, taken] = [0, 0, 0];
  server = new SMTPServer({
    authOptional: true,
    closeTimeout: 100,
    disabledCommands: ['AUTH', 'STARTTLS'],
    onConnect(_, done) {
      if (open === most) return done(Object.assign(new Error('Too many of you'), { responseCode: 421 }));
      highest = Math.max(highest, ++open);
      return done();
    },
    onClose: () => open--,
    onData(stream, _, done) {
      stream.resume().on('end', () => setTimeout(() => done(null, `taken ${++taken}`), 10));
    },
  });
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  const { port } = server.server.address() as { port: number };
  return { address: readMailServer(`smtp://127.0.0.1:${port}`), highest: () => highest, taken: () => taken };
}

it('go on with as many as the server allows', async () => {
  const { address, highest, taken } = await counting(3);
  const connections = new MailConnections(address, 8);
  const handed = await Promise.all(
    Array.from({ length: 30 }, () => connections.handOver(ENVELOPE, MESSAGE, begun)),
  );
  expect(new Set(handed.map(({ result }) => result))).toEqual(new Set(['taken']));
  expect(taken()).toBe(30);
  expect(highest()).toBeLessThanOrEqual(3);
  connections.stop();
});

it('refuse what has not begun when they are stopped', async () => {
  const { address, taken } = await counting(8);
  const connections = new MailConnections(address, 1);
  const letters = [1, 2, 3].map(() => connections.handOver(ENVELOPE, MESSAGE, begun));
  connections.stop();
  const settled = await Promise.allSettled(letters);
  expect(settled.map((one) => (one.status === 'rejected' ? one.reason : one.value.result))).toEqual([
    'taken',
    expect.any(Stopped),
    expect.any(Stopped),
  ]);
  expect(taken()).toBe(1);
});

it('hand nothing over when the letter may not begin', async () => {
  const { address, taken } = await counting(8);
  const connections = new MailConnections(address, 1);
  const notMine = async () => {
    throw new Error('It is another worker’s.');
  };
  await expect(connections.handOver(ENVELOPE, MESSAGE, notMine)).rejects.toThrow('another worker');
  expect(await connections.handOver(ENVELOPE, MESSAGE, begun)).toMatchObject({ result: 'taken' });
  expect(taken()).toBe(1);
  connections.stop();
});

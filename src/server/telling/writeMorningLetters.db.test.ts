import { afterEach, expect, it, vi } from 'vitest';
import { mailServer, type Lines } from '../sending/test/mailServer';
import { sendingDatabase } from '../sending/test/sendingDatabase';
import { WaysOut } from '../sending/waysOut';
import { readOriginal, takeMail } from '../incoming/takeMail';
import { imke } from '../test/imke';
import { morningSetting, settleMorning } from './morningSetting';
import { writeMorningLetter } from './writeMorningLetters';

const ground = sendingDatabase();
const closing: (() => void)[] = [];

async function ways(lines: Lines = {}) {
  const server = await mailServer(lines);
  const waysOut = new WaysOut(ground.database, server.address);
  closing.push(() => {
    waysOut.stop();
    server.close();
  });
  return { ...server, write: () => writeMorningLetter(ground.database, waysOut) };
}
const at = (moment: string) => vi.stubEnv('FAIRQUILL_NOW', moment);

afterEach(() => {
  vi.unstubAllEnvs();
  for (const close of closing.splice(0)) close();
});

it('comes once a morning to whoever wants it, from its hour on, with what waits', async () => {
  const { write, content, heard } = await ways();
  expect((await morningSetting(imke)).hour).toBeUndefined();
  expect(await write()).toBe(false);
  // Its hour is over for today.
  await settleMorning(imke, 7);
  expect(await write()).toBe(false);
  at('2026-11-24T20:00:00Z');
  await settleMorning(imke, null);
  await settleMorning(imke, 7);
  expect(await morningSetting(imke)).toMatchObject({
    hour: 7,
    choices: expect.arrayContaining([[7, '07:00']]) as object,
  });
  at('2026-11-25T06:30:00Z');
  expect(await write()).toBe(false);
  at('2026-11-25T07:01:00Z');
  vi.stubEnv('APP_URL', 'https://letters.example');
  expect(await write()).toBe(true);
  expect(await write()).toBe(false);
  expect(heard.filter((line) => /^(?:MAIL|RCPT)/.test(line))).toEqual([
    'MAIL FROM:<imke@larkfield.example>',
    'RCPT TO:<imke@larkfield.example>',
  ]);
  const message = content.join('\r\n');
  expect(message).toMatch(/^Auto-Submitted: auto-generated$/m);
  const { read } = await readOriginal(Buffer.from(message));
  expect(read.mail.subject).toMatch(/^Wednesday 25 November: 2 answers wait, 1 needs you, 7 to write$/);
  expect(read.mail.text).toMatch(/Good morning Imke,\s+Answers waiting \(2\)\s+- /);
  expect(read.mail.html).toMatch(/href="https:\/\/letters\.example\/write\?from=/);
  // It comes round to where mail is taken in, and stands in no list.
  expect(
    await takeMail(imke.business_id, await readOriginal(Buffer.from(message)), new Date(), { by: 'server' }),
  ).toEqual({ result: 'left' });
  at('2026-11-26T07:00:30Z');
  expect(await write()).toBe(true);
  expect(content.filter((line) => line === '.')).toHaveLength(2);
});

it('that cannot be handed over is tried again while it is morning', async () => {
  at('2026-11-24T20:00:00Z');
  await settleMorning(imke, 7);
  at('2026-11-25T07:00:10Z');
  const down = await ways({ greeting: '421 come again' });
  expect(await down.write()).toBe(true);
  expect(await down.write()).toBe(false);
  const up = await ways();
  at('2026-11-25T07:11:00Z');
  expect(await up.write()).toBe(true);
  expect(up.content.length).toBeGreaterThan(0);
  expect(await up.write()).toBe(false);

  await ground.database.sequelize.query("update morning_letter set last_on = null, again_at = '-infinity'");
  at('2026-11-25T12:00:00Z');
  expect(await up.write()).toBe(false);
});

it('is taken by one of many workers, and ends when it is not wanted any more', async () => {
  at('2026-11-24T20:00:00Z');
  await settleMorning(imke, 7);
  at('2026-11-25T07:30:00Z');
  const { write, content } = await ways();
  const done = await Promise.all([write(), write(), write()]);
  expect(done.filter(Boolean)).toHaveLength(1);
  expect(content.filter((line) => line === '.')).toHaveLength(1);
  await settleMorning(imke, null);
  at('2026-11-26T07:30:00Z');
  expect(await write()).toBe(false);
});

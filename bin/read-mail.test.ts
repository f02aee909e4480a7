import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, expect, it } from 'vitest';
import { command } from './setup/command.mjs';
import { ROOT } from './setup/root.mjs';

const folder = mkdtempSync(path.join(tmpdir(), 'fair-quill-mail-'));
afterAll(() => rmSync(folder, { recursive: true }));

function readMail(...names: string[]) {
  return command(process.execPath, [path.join(ROOT, 'bin/read-mail.mjs'), ...names], { cwd: folder });
}

it('says what a message is', async () => {
  const head = ['From: Oda <oda@hartigan.example>', 'Subject: Re: Your visit', 'In-Reply-To: <a@b.example>'];
  writeFileSync(
    path.join(folder, 'answer.eml'),
    [...head, '', 'Yes please!', '', '> Hello Oda'].join('\r\n'),
  );
  const { code, output } = await readMail('answer.eml');
  expect(code).toBe(0);
  expect(JSON.parse(output)).toMatchObject({
    is: 'answer',
    from: { name: 'Oda', address: 'oda@hartigan.example' },
    about: { sign: 'in reply to', messageIds: ['a@b.example'] },
    words: 'Yes please!',
    quoted: '> Hello Oda',
  });
});

it.each([
  [['none.eml'], 'There is no file none.eml.'],
  [['.'], 'There is no file ..'],
  [[], 'Say which message: npm run --silent read-mail -- FILE.eml [--locale en-GB]'],
  [['a', '--locale', 'nowhere_at_all'], 'There is no locale “nowhere_at_all”.'],
])('%j ends with a sentence', async (names, sentence) => {
  const { code, output } = await readMail(...names);
  expect([code, output.trim()]).toEqual([2, sentence]);
});

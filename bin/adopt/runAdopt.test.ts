import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readTemplate } from '../../src/core/template/text/readTemplate';
import { runAdopt } from './runAdopt';

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(path.join(tmpdir(), 'adopt-'));
});
afterAll(() => rm(folder, { recursive: true }));

async function adopt(files: Record<string, string>, ...more: string[]) {
  const named = await Promise.all(
    Object.entries(files).map(async ([name, words]) => {
      const file = path.join(folder, name);
      await writeFile(file, words);
      return file;
    }),
  );
  let [out, err] = ['', ''];
  const streams = { out: (text: string) => (out += text), err: (text: string) => (err += text) };
  const code = await runAdopt([...named, ...more], streams);
  return { code, out: out.replaceAll(`${folder}/`, ''), err: err.replaceAll(`${folder}/`, '') };
}

describe('npm run adopt', () => {
  it('prints what a file becomes, with what it did not understand on standard error', async () => {
    const { code, out, err } = await adopt({
      'confirm.txt':
        'Subject: [Service] on [Appointment Date]\n\nDear [First Name],\nwe come at [Start Time].\n\nDeposit: %deposit%\n\n$your_name$',
    });
    expect(code).toBe(3);
    expect(out).toBe(
      `---
name: service on appointment date
group: Brought in
starts from: booking
subject: '{{booking.service}} on {{booking.starts_at}}'
---
Dear {{recipient.greeting_name}},\\
we come at {{booking.starts_at | time}}.

Deposit: {{gap "deposit"}}

{{sender.full_name}}
`.replace('name: service on appointment date', 'name: confirm'),
    );
    expect(err).toBe('confirm.txt: It is not sure what “%deposit%” means; a gap stands there.\n');
  });

  it('several one after the other, each with its head, and each is read again', async () => {
    const { code, out } = await adopt({
      'one.txt': 'Subject: A\n\nHello [Name]',
      'two.html': '<title>B</title><p>Hello *|FNAME|*</p>',
    });
    expect(code).toBe(0);
    const parts = out.split(/(?<=\n)\n(?=---\nname)/);
    expect(parts.map((part) => readTemplate(part, 'f').problems)).toEqual([[], []]);
  });

  it('with the business’s records its own fields are known', async () => {
    const records = {
      business: { custom_fields: [{ record: 'client', key: 'door', label: 'door code', type: 'text' }] },
    };
    await writeFile(path.join(folder, 'records.json'), JSON.stringify(records));
    const file = { 'door.txt': 'Subject: S\n\nHello [Name], it is [Door Code].' };
    const known = await adopt(file, '--records', path.join(folder, 'records.json'));
    expect([known.code, known.out]).toEqual([0, expect.stringContaining('it is {{client.custom.door}}.')]);
    expect((await adopt(file)).out).toContain('it is {{gap "Door Code"}}.');
  });

  it.each([
    [{}, [], 'adopt: No file is named.'],
    [{ 'a.pdf': '%PDF-1' }, [], 'a.pdf:1:1: This is a PDF, and no text.'],
    [{}, ['/nowhere/a.txt'], '/nowhere/a.txt:1:1: There is no such file or folder.'],
    [{ 'a.txt': 'x' }, ['--record', 'x'], 'adopt: There is no flag “--record”. Did you mean “--records”?'],
  ])('says why nothing can be done: %j %j', async (files, more, says) => {
    const { code, out, err } = await adopt(files as Record<string, string>, ...more);
    expect([code, out]).toEqual([2, '']);
    expect(err).toContain(says);
  });
});

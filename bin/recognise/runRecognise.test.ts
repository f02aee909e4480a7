import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readDemonstration } from '../../src/data/demonstration/readDemonstration';
import { runFill } from '../fill/runFill';
import { runRecognise } from './runRecognise';

const NOW = '2026-11-25T09:00:00Z';
let folder: string;
const at = (name: string) => path.join(folder, name);

beforeAll(async () => {
  folder = await mkdtemp(path.join(tmpdir(), 'recognise-'));
  const data = path.resolve(import.meta.dirname, '../../src/data/demonstration');
  const { records } = await readDemonstration(data, Date.parse(NOW));
  await writeFile(at('records.json'), JSON.stringify(records));
});
afterAll(() => rm(folder, { recursive: true }));

async function recognise(letter: string | Uint8Array, ...more: string[]) {
  await writeFile(at('letter.txt'), letter);
  return run(runRecognise, '--text', at('letter.txt'), ...more);
}

async function run(command: typeof runRecognise, ...argv: string[]) {
  let [out, err] = ['', ''];
  const flags = ['--records', at('records.json'), '--now', NOW];
  const code = await command([...flags, ...argv], {
    out: (text) => (out += text),
    err: (text) => (err += text),
  });
  return { code, out, err };
}

const CONFIRMS = `Subject: Your tuning visit

Dear Oda,

Teo comes on Thursday, 26 November 2026 at 09:30. It costs £78.

Imke Sandoval
Larkfield Piano Care · 01632 960144
`;

describe('npm run recognise', () => {
  it('prints a letter as a template, with its head, its lines and a field for each fact', async () => {
    const { code, out, err } = await recognise(CONFIRMS, '--from', 'booking:b-hartigan');
    expect(err).toBe('');
    expect(code).toBe(0);
    expect(out).toBe(`---
name: Your visit
group: From letters
starts from: booking
subject: 'Your {{booking.service}}'
---
Dear {{recipient.greeting_name}},

{{booking.member.given_name}} comes on {{booking.starts_at | long date}} at {{booking.starts_at | time}}. It costs {{booking.price | whole money}}.

{{signature}}
`);
  });

  it('what it prints is filled back to the letter, and for another client to theirs', async () => {
    const { out } = await recognise(CONFIRMS, '--from', 'booking:b-hartigan');
    await writeFile(at('template.md'), out);
    const same = await run(runFill, '--template', at('template.md'), '--from', 'booking:b-hartigan');
    expect(same).toMatchObject({ code: 0, out: CONFIRMS.split('\n').slice(2).join('\n') });
    const other = await run(runFill, '--template', at('template.md'), '--from', 'booking:b-delacruz');
    expect(other.out).toContain('Dear Marta,\n\nTeo comes on Thursday, 26 November 2026 at 13:00.');
  });

  it('as json: each find with its place, words, field, form and certainty', async () => {
    const { out } = await recognise(CONFIRMS, '--from', 'booking:b-hartigan', '--as', 'json');
    const { template, finds } = JSON.parse(out) as { template: string; finds: Record<string, unknown>[] };
    expect(template).toContain('starts from: booking');
    for (const { start, end, words, certainty } of finds) {
      expect(CONFIRMS.slice(start as number, end as number)).toBe(words);
      expect(certainty).toBeGreaterThan(0);
      expect(certainty).toBeLessThanOrEqual(1);
    }
    expect(finds.map(({ words, path, steps }) => [words, path, steps])).toEqual([
      ['tuning visit', 'booking.service', []],
      ['Oda', 'recipient.greeting_name', []],
      ['Teo', 'booking.member.given_name', []],
      ['Thursday, 26 November 2026', 'booking.starts_at', ['long date']],
      ['09:30', 'booking.starts_at', ['time']],
      ['£78', 'booking.price', ['whole money']],
      ['Imke Sandoval\nLarkfield Piano Care · 01632 960144', 'signature', []],
    ]);
  });

  it('a form that no step writes is found, and named on standard error', async () => {
    const { code, out, err } = await recognise(
      'Hello Oda,\n\nsee you on Thu 26th at half past nine.\n',
      ...['--from', 'booking:b-hartigan', '--member', 'teo'],
    );
    expect(code).toBe(3);
    expect(out).toContain('see you on {{booking.starts_at | long date}} at {{booking.starts_at | time}}.');
    expect(err.replaceAll(at('letter.txt'), 'letter.txt')).toBe(
      'letter.txt:3:12: No step writes “Thu 26th”: {{booking.starts_at | long date}} says “Thursday, 26 November 2026”.\n' +
        'letter.txt:3:24: No step writes “half past nine”: {{booking.starts_at | time}} says “09:30”.\n',
    );
  });

  it('a letter in another language than the business’s has it in its head, and its forms', async () => {
    const { out } = await recognise(
      'Betreff: Ihr Termin\n\nGuten Tag Jannike,\n\nwir freuen uns auf den Besuch am Montag, 4. Januar 2027 um 11:00 Uhr. Bitte sagen Sie uns, wenn es nicht geht und wir einen anderen Tag suchen sollen.\n',
      ...['--from', 'booking:b81'],
    );
    expect(out).toContain('\nlanguage: de\n');
    expect(out).toContain('am {{booking.starts_at | long date}} um {{booking.starts_at | time}} Uhr.');
  });

  it('a text from another system is read as if its lines ended as ours; places are those of the file', async () => {
    const windows = `\uFEFF${CONFIRMS.replaceAll('\n', '\r\n')}`;
    const ours = await recognise(CONFIRMS, '--from', 'booking:b-hartigan');
    expect(await recognise(windows, '--from', 'booking:b-hartigan')).toEqual(ours);
    const { out } = await recognise(windows, '--from', 'booking:b-hartigan', '--as', 'json');
    const { finds } = JSON.parse(out) as { finds: { start: number; end: number; words: string }[] };
    expect(finds).toHaveLength(7);
    for (const { start, end, words } of finds)
      expect(windows.slice(start, end).replaceAll('\r', '')).toBe(words);
  });

  it('keeps the ends of its lines, what looks like markup and what looks like a tag', async () => {
    const { out } = await recognise(
      'Hello Oda,\nit is *so* [sic] {{x}}\n\n- one\n- two\n# three\n',
      ...['--from', 'client:hartigan'],
    );
    await writeFile(at('template.md'), out.replace(/^subject: .*$/m, 'subject: S'));
    const { out: filled } = await run(runFill, '--template', at('template.md'), '--from', 'client:hartigan');
    expect(filled).toBe('Hello Oda,\nit is *so* [sic] {{x}}\n\n- one\n- two\n# three\n');
  });

  it.each([
    [['--from', 'client:nobody'], 'recognise: There is no client “nobody”.'],
    [['--from', 'oda'], 'recognise: “--from” is a record as invoice:KEY'],
    [['--from', 'client:hartigan', '--as', 'html'], '“--as” is one of text, json, not “html”.'],
    [
      ['--from', 'client:hartigan', '--member', 'tea'],
      'recognise: There is no member “tea”. Did you mean “teo”?',
    ],
    [['--from', 'client:hartigan', '--now', 'soon'], '“--now” is a moment'],
    [['--form', 'x'], 'recognise: There is no flag “--form”. Did you mean “--from”?'],
  ])('says what is wrong with %j', async (argv, says) => {
    const { code, out, err } = await recognise('Hello', ...argv);
    expect([code, out]).toEqual([2, '']);
    expect(err).toContain(says);
  });

  it('says where a file cannot be read', async () => {
    const { code, err } = await recognise(
      new Uint8Array([0x48, 0x69, 0x0a, 0xe9]),
      '--from',
      'client:hartigan',
    );
    expect(code).toBe(2);
    expect(err).toContain('letter.txt:2:1: This is not UTF-8 (the byte E9).');
  });
});

import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll } from 'vitest';
import { readDemonstration } from '../../../src/data/demonstration/readDemonstration';
import { runFill } from '../runFill';

export const DATA = path.resolve(import.meta.dirname, '../../../src/data/demonstration');
const NOW = '2026-11-25T09:00:00Z';

/** A folder of the test file's own with the demonstration's records in `records.json`. */
export let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(tmpdir(), 'fill-'));
  const { records } = await readDemonstration(DATA, Date.parse(NOW));
  await writeFile(path.join(folder, 'records.json'), JSON.stringify(records, null, 1));
});

afterAll(() => rm(folder, { recursive: true }));

/** Runs the command; gives its exit code and what it wrote. */
export async function fill(...argv: string[]) {
  let [out, err] = ['', ''];
  const code = await runFill(argv, { out: (text) => (out += text), err: (text) => (err += text) });
  return { code, out, err };
}

/** Runs the command for a template and a record of the demonstration. */
export function demonstration(template: string, from: string, ...more: string[]) {
  return fill(
    ...['--template', path.join(DATA, 'templates', `${template}.md`)],
    ...['--records', path.join(folder, 'records.json')],
    ...['--passages', path.join(DATA, 'passages'), '--now', NOW, '--from', from, ...more],
  );
}

/** The arguments that answer a blank. */
export const answer = (name: string, value: string) => ['--answer', `${name}=${value}`];

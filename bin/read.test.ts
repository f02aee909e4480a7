import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, expect, it } from 'vitest';

const folder = mkdtempSync(path.join(tmpdir(), 'read-'));
afterAll(() => rmSync(folder, { recursive: true }));

function read(name: string, content?: string, ...more: string[]) {
  const file = path.join(folder, name);
  if (content !== undefined) writeFileSync(file, content);
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [path.resolve(import.meta.dirname, 'read.mjs'), file, ...more],
    { encoding: 'utf8' },
  );
  return { status, stdout, stderr: stderr.trim() };
}

it('what would come in is printed, row by row, and nothing is changed', () => {
  const { status, stdout, stderr } = read('clients.csv', 'Name;E-Mail\nAda Reyes;ada@reyes.example\n');
  expect([status, stderr]).toEqual([0, '']);
  expect(JSON.parse(stdout)).toEqual({
    form: 'CSV',
    encoding: 'UTF-8',
    table: {
      separator: ';',
      columns: [
        { head: 'Name', as: 'name' },
        { head: 'E-Mail', as: 'email' },
      ],
    },
    kind: 'client',
    rows: [
      {
        row: 2,
        facts: { kind: 'person', name: 'Ada Reyes', email: 'ada@reyes.example', tags: [] },
        doubts: [],
      },
    ],
    problems: [],
  });
});

it('what is in doubt is another end, what is no such file a third, in words', () => {
  expect(read('doubt.csv', 'Name,Email\nAda,at home\n').status).toBe(3);
  expect(read('none.csv')).toMatchObject({
    status: 2,
    stdout: '',
    stderr: expect.stringMatching(/^There is no file /) as string,
  });
  expect(read('page.csv', '<html>')).toMatchObject({
    status: 2,
    stderr: 'This is neither a table nor cards nor a calendar.',
  });
  expect(read('zone.csv', 'Name\nAda', '--zone', 'Mars/Base').stderr).toBe(
    'There is no time zone “Mars/Base”.',
  );
  expect(read('sums.csv', 'Name\nAda', '--currency', 'pounds').stderr).toBe('There is no currency “pounds”.');
  expect(read('locale.csv', 'Name\nAda', '--locale', 'xx-')).toMatchObject({
    status: 2,
    stderr: 'There is no locale “xx-”.',
  });
});

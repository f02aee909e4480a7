import { expect, it } from 'vitest';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { findAnything } from './findAnything';

process.env.FAIRQUILL_NOW = '2026-11-25T09:00:00Z';
demonstrationDatabase();

const letters = async (find: string) =>
  (await findAnything(imke, find)).letters.map(({ name, from, template }) =>
    [name, from, template?.name].filter(Boolean).join(', '),
  );

it('a letter is found by whom it is to and which template, from the record that it starts from', async () => {
  expect(await letters('write oda coming')).toEqual(['Oda Hartigan, booking:b-hartigan, Visit coming up']);
  // The right invoice, though nobody named it; the one that fits comes first.
  const reminders = await letters('write thornholt reminder');
  expect(reminders[0]).toMatch(/^Thornholt College, invoice:LPC-\d+, (?:First|Second) reminder$/);
  expect(reminders.slice(0, 3).every((one) => one.startsWith('Thornholt College, invoice:'))).toBe(true);
  expect(await letters('Write to HARTIGAN, statement')).toEqual([
    'Oda Hartigan, client:hartigan, Statement of account',
  ]);
});

it('whom to write to is enough; without the word, too', async () => {
  expect(await letters('write oda')).toEqual(['Oda Hartigan, client:hartigan']);
  expect(await letters('oda')).toEqual(['Oda Hartigan, client:hartigan']);
  expect(await letters('oda statement')).toEqual(['Oda Hartigan, client:hartigan, Statement of account']);
  expect(await letters('write nobody')).toEqual([]);
  expect(await letters('write')).toEqual([]);
  expect(await letters('   ')).toEqual([]);
});

it('records are found by their words, a few of each kind', async () => {
  const { records } = await findAnything(imke, 'LPC1048');
  expect(records).toContainEqual(expect.objectContaining({ kind: 'invoice', key: 'LPC-1048' }));
  const many = (await findAnything(imke, 'tuning')).records;
  for (const kind of ['client', 'invoice', 'booking'])
    expect(many.filter((one) => one.kind === kind).length).toBeLessThanOrEqual(4);
  // Who wants to write wants no records.
  expect((await findAnything(imke, 'write oda')).records).toEqual([]);
});

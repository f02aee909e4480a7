import { randomUUID } from 'node:crypto';
import { expect, it } from 'vitest';
import { putWords } from '../../core/fairCopy/change/putWords';
import { readStartingPoint } from '../../core/records/which/readStartingPoint';
import { factsOf } from '../../core/writing/factsOf';
import { WritingDesk } from '../../core/writing/writingDesk';
import { clientOfAddress } from '../../data/repositories/startingRecords';
import { oneLetter } from '../letters/oneLetter';
import { findAnything } from '../palette/findAnything';
import { imke } from '../test/imke';
import { factsForWriting } from '../writing/factsForWriting';
import { sendLetter } from './sendLetter';
import { takeBackLetter } from './takeBackLetter';
import { writeOn } from './writeOn';
import { sendingDatabase } from './test/sendingDatabase';
import type { WrittenLetter } from './readyToGo';

process.env.FAIRQUILL_NOW = '2026-11-25T09:00:00Z';
const ground = sendingDatabase();

/** A blank letter to an address, with a subject alone. */
async function toAddress(key: string, { goesAt }: { goesAt?: string } = {}): Promise<WrittenLetter> {
  const start = { kind: 'client', key } as const;
  const facts = (await factsForWriting(imke, start))!;
  const desk = new WritingDesk({ ...facts, ...facts.list! });
  const template = desk.blankLetter(desk.situation(start)!);
  // It says nothing but a greeting, and its writer means that.
  const choices = { template, answers: {}, stets: ['nothing said'], ...(goesAt ? { goesAt } : {}) };
  const filled = desk.fill(start, choices)!;
  return {
    id: randomUUID(),
    start,
    choices,
    templateVersion: 1,
    document: putWords(filled.document, { line: 0, from: 0, to: 0 }, 'Your question'),
    facts: factsOf(filled),
  };
}

const whose = (email: string) => imkeWorks(() => clientOfAddress(ground.database, imke.business_id, email));
const imkeWorks = <T>(work: () => Promise<T>) => ground.database.inBusiness(imke.business_id, work);

it('a letter to an address in no record makes its client, once, and is kept with them', async () => {
  const letter = await toAddress('Wenna Ortega <wenna@ortega.example>');
  expect(await whose('wenna@ortega.example')).toBeUndefined();
  expect(await sendLetter(imke, letter)).toMatchObject({ result: 'going', client: 'wenna-ortega' });
  const kept = await oneLetter(imke, letter.id);
  expect(kept).toMatchObject({ client: 'Wenna Ortega', client_key: 'wenna-ortega' });
  expect(kept!.text).toMatch(/^Hello Wenna,/);
  const [row] = (await imkeWorks(() =>
    ground.database.models.client.findAll({ where: { key: 'wenna-ortega' }, raw: true }),
  )) as unknown as [Record<string, unknown>];
  expect(row).toMatchObject({
    name: 'Wenna Ortega',
    kind: 'person',
    email: 'wenna@ortega.example',
    since: '2026-11-25',
  });
  // The next one is to the same client, whatever is typed for a name.
  const next = await toAddress('W. <Wenna@Ortega.example>');
  const answer = await sendLetter(imke, next);
  expect(answer).toMatchObject({ result: 'going' });
  expect(answer).not.toHaveProperty('client');
  expect((await oneLetter(imke, next.id))!.client_key).toBe('wenna-ortega');
});

it('two that are sent at once make one client', async () => {
  // By one name: where the one is through before the other is looked at, another name would be another greeting.
  const letters = [
    await toAddress('Siún Calder <siun@calder.example>'),
    await toAddress('Siún Calder <siun@calder.example>'),
  ];
  const answers = await Promise.all(letters.map((letter) => sendLetter(imke, letter)));
  expect(answers.filter((answer) => 'client' in answer)).toHaveLength(1);
  const keys = await Promise.all(letters.map(async ({ id }) => (await oneLetter(imke, id))!.client_key));
  expect(new Set(keys).size).toBe(1);
});

it('taken back, it takes its client along, unless something has come to it', async () => {
  const letter = await toAddress('Ulla Vane <ulla@vane.example>');
  await sendLetter(imke, letter);
  expect(await takeBackLetter(imke, letter.id)).toEqual({ status: 'taken back', taken: true });
  expect(await whose('ulla@vane.example')).toBeUndefined();
  expect((await oneLetter(imke, letter.id))!.client_key).toBeNull();

  const [first, second] = [
    await toAddress('Ulla Vane <ulla@vane.example>'),
    await toAddress('Ulla Vane <ulla@vane.example>'),
  ];
  await sendLetter(imke, first);
  await sendLetter(imke, second);
  await takeBackLetter(imke, first.id);
  expect(await whose('ulla@vane.example')).toMatchObject({ name: 'Ulla Vane' });
  expect((await oneLetter(imke, second.id))!.client_key).toBe('ulla-vane');
});

it('one for later starts from the client that it has made', async () => {
  const letter = await toAddress('Tom Quist <tom@quist.example>', { goesAt: '2026-11-26T08:00:00Z' });
  expect(await sendLetter(imke, letter)).toEqual({ result: 'later', client: 'tom-quist' });
  const [row] = (await imkeWorks(() =>
    ground.database.models.letter_for_later.findAll({ where: { message_id: letter.id }, raw: true }),
  )) as unknown as [Record<string, unknown>];
  expect(row).toMatchObject({ starting_kind: 'client', starting_key: 'tom-quist' });
  // Taken back, it can be written on although that client is gone.
  await takeBackLetter(imke, letter.id);
  expect(await whose('tom@quist.example')).toBeUndefined();
  const { from } = (await writeOn(imke, letter.id))!;
  expect(from).toBe('client:Tom Quist <tom@quist.example>');
  expect(await factsForWriting(imke, readStartingPoint(from)!)).toBeDefined();
});

it('who is known by an address is written to at it, not where the rule would', async () => {
  const [known] = (
    await imkeWorks(() =>
      ground.database.sequelize.query(
        "select contact.email from contact join client on client.id = client_id where client.key = 'college' and not 'invoices' = any(uses)",
      ),
    )
  ).at(0) as unknown as [{ email: string }];
  const { letters } = await findAnything(imke, known.email);
  expect(letters).toEqual([
    { name: 'Thornholt College', from: `client:<${known.email}>`, note: known.email },
  ]);
  const [note] = (await findAnything(imke, `${known.email} note`)).letters;
  expect(note).toMatchObject({ from: `client:<${known.email}>`, template: { key: 'short-note' } });
  // A reminder would go to whoever pays: it is not offered to this address.
  const reminders = (await findAnything(imke, `${known.email} reminder`)).letters;
  for (const { from } of reminders) expect(from).toBe(`client:<${known.email}>`);
  const letter = await toAddress(`<${known.email}>`);
  expect(letter.facts.to[0]).toBe(known.email);
});

it('a letter that says who it is to by no record and no address starts from nothing', async () => {
  for (const key of ['nobody', 'Bram <bram>', `${'B'.repeat(99)} <b@t.example>`])
    expect(await factsForWriting(imke, { kind: 'client', key })).toBeUndefined();
});

it.each([
  [
    'Bram Weiss <bram@weiss.example>',
    'Bram Weiss, bram@weiss.example',
    'client:Bram Weiss <bram@weiss.example>',
  ],
  [
    'write to bram@weiss.example Bram Weiss',
    'Bram Weiss, bram@weiss.example',
    'client:Bram Weiss <bram@weiss.example>',
  ],
  ['write bram@weiss.example', 'bram@weiss.example', 'client:<bram@weiss.example>'],
])('“%s” finds a letter to %s', async (typed, name, from) => {
  expect((await findAnything(imke, typed)).letters).toMatchObject([{ name, from }]);
});

it('who has asked already is answered first', async () => {
  const { letters } = await findAnything(imke, 'write bram@tolliver.example');
  expect(letters).toMatchObject([
    { name: 'Bram Tolliver', from: 'enquiry:e1', note: 'who asked, tuning visit, waiting' },
    { from: 'client:<bram@tolliver.example>' },
  ]);
});

it('words behind an address say which template', async () => {
  const { letters } = await findAnything(imke, 'write Bram Weiss bram@weiss.example note');
  expect(letters.length).toBeGreaterThan(0);
  for (const one of letters) {
    expect(one).toMatchObject({
      name: 'Bram Weiss, bram@weiss.example',
      from: 'client:Bram Weiss <bram@weiss.example>',
    });
    expect(one.template!.name).toMatch(/note/i);
  }
  // No visit of theirs is there to remind of.
  expect((await findAnything(imke, 'write bram@weiss.example coming up')).letters).toEqual([
    expect.objectContaining({ from: 'client:<bram@weiss.example>' }),
  ]);
  expect((await findAnything(imke, 'write bram@weiss')).letters).toEqual([]);
  expect((await findAnything(imke, `${'<'.repeat(200)}@`)).letters).toEqual([]);
});

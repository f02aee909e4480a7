import { afterAll, beforeAll, expect, it } from 'vitest';
import { stableId } from '../data/stableId';
import { temporaryDatabase, withDemonstration, type TemporaryDatabase } from '../data/test/temporaryDatabase';
import { connection } from './connection';
import type { CurrentMember } from './signIn/currentMember';
import { demonstrationMembers } from './signIn/demonstrationMembers';
import { factsForWriting } from './writing/factsForWriting';
import { findTemplates } from './templates/findTemplates';
import { firstLetter } from './writing/firstLetter';
import { keepTemplate } from './templates/keepTemplate';
import { findRecords, listRecords } from './lists/listRecords';
import type { StartingKind } from '../core/records/recordKind';
import { findLetters } from './letters/findLetters';
import { NoSuchPlace } from './lists/placeInList';
import { post } from './letters/post';
import { lettersOf } from '../data/repositories/letters';
import { recordPage } from './records/recordPage';
import { recordPayment, undoPayment } from './records/recordPayment';
import { showLetters } from './letters/showLetters';
import { templateInPencil } from './templates/templateInPencil';
import { today } from './today/today';
import { wordsOfTemplates } from './templates/wordsOfTemplates';
import { wordsOf } from '../core/document/eachNode';
import { printTemplate } from '../core/template/text/printTemplate';
import { imke } from './test/imke';

let database: TemporaryDatabase;
const elsewhere: CurrentMember = { ...imke, business_id: stableId('business', 'other') };

beforeAll(async () => {
  database = await temporaryDatabase();
  process.env.DATABASE_URL = database.url;
  process.env.FAIRQUILL_NOW = '2026-11-25T09:00:00Z';
  await withDemonstration(database);
});
afterAll(async () => {
  await connection().close();
  await database.drop();
});

const rows = async (kind: StartingKind) => (await listRecords(imke, kind)).entries;
const found = async (kind: StartingKind, words: string) => (await findRecords(imke, kind, words)).entries;

/** How many queries something asks. */
async function queriesOf(work: () => Promise<unknown>): Promise<number> {
  const { options } = connection().sequelize as unknown as { options: { logging: unknown } };
  let count = 0;
  options.logging = () => count++;
  await work();
  options.logging = false;
  return count;
}

it('Today has a card for each thing worth writing, with the letter begun', async () => {
  const { date, cards, visits } = await today(imke);
  expect(date).toBe('Wednesday 25 November');
  expect(cards[0]).toMatchObject({
    name: 'Oda Hartigan',
    reason: 'Tuning visit tomorrow, Thursday, at 09:30',
    whose: 'Teo Marsh',
    template: { name: 'Visit coming up' },
    open: 0,
  });
  expect(cards[0]!.beginning).toMatch(/^Hello Oda, Teo comes tomorrow, Thursday, at 09:30\./);
  expect(cards.find(({ name }) => name === 'Bram Tolliver')!.open).toBeGreaterThan(0);
  expect(cards.some(({ reason }) => reason.startsWith('£642.00 24 days overdue, last letter '))).toBe(true);
  expect(visits.map(({ time }) => time)).toEqual(['09:00', '09:30', '14:00']);
});

it('lists say what tells one from another', async () => {
  expect((await rows('client')).find(({ key }) => key === 'college')).toMatchObject({
    name: 'Thornholt College',
    note: 'organisation, Thornholt',
    state: { words: '£738.00 open' },
  });
  expect((await rows('invoice'))[0]).toEqual({
    key: 'LPC-1034',
    name: 'LPC-1034, Joost van der Meulen',
    note: '£78.00',
    state: { words: '63 days overdue', kind: 'needs you' },
  });
  expect((await rows('invoice')).find(({ key }) => key === 'LPC-1060')!.state!.words).toBe('draft');
  const days = (await rows('booking')).map(({ day, note }) => `${day} ${note}`);
  expect(days[0]).toBe('Today, Wednesday 25 November 09:00, tuning visit');
  expect(days.find((day) => day.startsWith('Mon'))).toMatch(/^Monday 30 November \d\d:\d\d, /);
  expect((await rows('enquiry'))[0]!.state).toEqual({ words: 'waiting', kind: 'needs you' });
  expect((await rows('project')).length).toBe(14);
  expect(await found('invoice', 'van der 1034')).toHaveLength(1);
});

it.each([
  ['number', '1632 960101'],
  ['number at home', '01632 960101'],
  ['number from abroad', '+44 1632 960101'],
  ['invoice', 'lpc1034'],
])('a client is found by its %s', async (_, find) => {
  expect(await found('client', find)).not.toEqual([]);
});

it('a client is found by its postcode, its tags and its people, with or without what is hard to type', async () => {
  const { sequelize } = connection();
  const [clients] = await sequelize.query(
    `select key, address->>'postcode' as postcode, tags[1] as tag from client
     where address->>'postcode' is not null and tags[1] is not null limit 3`,
  );
  expect(clients.length).toBeGreaterThan(0);
  for (const { key, postcode, tag } of clients as { key: string; postcode: string; tag: string }[])
    for (const find of [postcode, postcode.replace(/\s/g, '').toLowerCase(), tag]) {
      expect((await found('client', find)).map((one) => one.key)).toContain(key);
    }
});

it('days are found by their whole number', async () => {
  const visits = await found('booking', '30 november');
  expect(visits.length).toBeGreaterThan(0);
  expect(new Set(visits.map(({ day }) => day))).toEqual(new Set(['Monday 30 November']));
});

it('a record’s page has its facts, its sums and its letters', async () => {
  const page = (await recordPage(imke, { kind: 'invoice', key: 'LPC-1048' }))!;
  expect(page.view).toMatchObject({
    title: 'Invoice LPC-1048',
    note: '£642.00, 24 days overdue',
    client: { key: 'college', name: 'Thornholt College' },
  });
  expect(page.view.facts).toContainEqual({ label: 'Total', value: '£1,284.00' });
  expect(page.view.tables.map(({ title }) => title)).toEqual(['Lines', 'Payments']);
  expect(page.payable).toMatchObject({ open: '642.00', today: '2026-11-25' });
  expect(page.letters.length).toBeGreaterThan(1);
  const client = (await recordPage(imke, { kind: 'client', key: 'college' }))!;
  expect(client.view.tables.map(({ title }) => title)).toEqual(['People', 'Instruments']);
  expect(client.view.links.map(({ kind }) => kind)).toContain('booking');
  for (const [kind, key] of [
    ['booking', 'b-hartigan'],
    ['project', 'p-reyes'],
    ['enquiry', 'e1'],
  ] as const) {
    const found = await recordPage(imke, { kind, key });
    if (kind !== 'project') expect(found!.view.facts.length).toBeGreaterThan(3);
  }
  const saidOf = async (key: string) => (await recordPage(imke, { kind: 'client', key }))!.beforeWriting;
  expect(await saidOf('hartigan')).toEqual([]);
  expect(await saidOf('brandvold')).toEqual(['The last letter to ingrid@brandvold.example came back.']);
  expect((await saidOf('oconnell')).join()).toContain('has no email address.');
  expect(await recordPage(imke, { kind: 'client', key: 'nobody' })).toBeUndefined();
  expect(await recordPage(elsewhere, { kind: 'client', key: 'college' })).toBeUndefined();
});

it('letters have their days in the business’s form', async () => {
  const [newest] = await showLetters(imke, (await post(imke)).letters);
  expect(newest).toMatchObject({ day: 'yesterday at 17:30', hasHtml: false });
});

it('Post scrolls on by itself, letter by letter', async () => {
  await connection().sequelize.query(
    `insert into message (business_id, id, message_id, thread_id, direction, came_as, status, subject, at)
     select $business, gen_random_uuid(), 'paged' || n, gen_random_uuid(), 'in', 'automatic', 'received', 'paged ' || n,
       timestamptz '2026-10-01' + make_interval(secs => n / 3) from generate_series(1, 250) n`,
    { bind: { business: imke.business_id } },
  );
  const pages: string[] = [];
  let after: string | undefined;
  do {
    const { letters, next } = await post(imke, after);
    pages.push(...letters.map(({ id }) => id));
    after = next;
  } while (after);
  const all = await lettersOf(connection(), imke.business_id, {}, 1000);
  expect(new Set(pages)).toEqual(new Set(all.map(({ id }) => id)));
  await expect(post(imke, 'eyJzZWdtZW50IjowLCJhdCI6WyJ4IiwieSJdfQ')).rejects.toThrow(NoSuchPlace);
  await expect(post(imke, 'no place')).rejects.toThrow(NoSuchPlace);
  await connection().sequelize.query("delete from message where message_id like 'paged%'");
});

it('a letter is written from one client’s records and everybody’s templates', async () => {
  const facts = (await factsForWriting(imke, { kind: 'booking', key: 'b-hartigan' }))!;
  expect(facts.records.clients!.map(({ key }) => key)).toEqual(['hartigan']);
  expect(facts.list!.groups.flatMap(({ templates }) => templates)).toHaveLength(26);
  expect(facts.list!.templates).toHaveLength(26);
  expect(facts.words!.map(({ key }) => key)).toEqual(['visit-coming-up']);
  expect(JSON.stringify(facts)).not.toContain('password');
  expect(await factsForWriting(elsewhere, { kind: 'booking', key: 'b-hartigan' })).toBeUndefined();
});

it('a device that has the list of templates is not given it again, until anything in it is another', async () => {
  const from = { kind: 'client', key: 'college' } as const;
  const { edition, list } = (await factsForWriting(imke, from))!;
  const again = (await factsForWriting(imke, from, { edition }))!;
  expect(again).toMatchObject({ edition });
  expect(again).not.toHaveProperty('list');
  expect(again).not.toHaveProperty('words');
  const teo = { ...imke, id: stableId('member', 'teo'), key: 'teo' };
  expect((await factsForWriting(teo, from))!.edition).not.toBe(edition);

  const now = async () => (await factsForWriting(imke, from, { edition }))!.edition;
  const query = (sql: string) => database.sequelize.query(sql);
  for (const [there, back] of [
    [
      "set position = position + 1 where key = 'first-reminder'",
      "set position = position - 1 where key = 'first-reminder'",
    ],
    ["set deleted_at = now() where key = 'short-note'", "set deleted_at = null where key = 'short-note'"],
  ]) {
    await query(`update template ${there}`);
    expect(await now(), there).not.toBe(edition);
    await query(`update template ${back}`);
    expect(await now(), back).toBe(edition);
  }
  await query('update passage set document = document || \'{"more": 1}\'');
  expect(await now(), 'a passage').not.toBe(edition);
  await query("update passage set document = document - 'more'");
  // One that becomes somebody else's own goes out of the list, and is named beside it.
  const note = "where key = 'short-note'";
  await query(`update template set owner_id = (select id from member where key = 'teo') ${note}`);
  const without = (await factsForWriting(imke, from, { edition }))!;
  expect(without.list!.others).toEqual([{ name: 'Short note', whose: 'Teo Marsh' }]);
  expect(without.list!.templates.some(({ key }) => key === 'short-note')).toBe(false);
  await query(`update template set name = 'Teo’s note' ${note}`);
  expect((await factsForWriting(imke, from, { edition: without.edition }))!.edition).not.toBe(
    without.edition,
  );
  await query(`update template set name = 'Short note', owner_id = null ${note}`);
  expect(await now(), 'as it was').toBe(edition);
  expect(list!.templates.every(({ topics, keptAt }) => topics && Date.parse(keptAt) > 0)).toBe(true);
});

it('the words of templates are given to who may see them', async () => {
  const keys = ['short-note', 'first-reminder', 'nothing'];
  const found = await wordsOfTemplates(imke, keys);
  expect(found.map(({ key }) => key).sort()).toEqual(['first-reminder', 'short-note']);
  expect(found[0]!.document.content.length).toBeGreaterThan(0);
  const { list } = (await factsForWriting(imke, { kind: 'client', key: 'college' }))!;
  const listing = list!.templates.find(({ key }) => key === found[0]!.key)!;
  expect([found[0]!.version, found[0]!.keptAt]).toEqual([listing.version, listing.keptAt]);
  expect(await wordsOfTemplates(elsewhere, keys)).toEqual([]);
});

it('the first letter is drawn from the likeliest template, and has nothing where the device has the list', async () => {
  const start = { kind: 'invoice', key: 'LPC-1048' } as const;
  const { facts, letter } = (await firstLetter(imke, start, {}))!;
  expect(letter!.name).toBe('Thornholt College');
  expect(wordsOf(letter!.document)).toContain('LPC-1048');
  expect((await firstLetter(imke, start, { edition: facts.edition }))!.letter).toBeUndefined();
  // One that is kept has its letter in it, and not again what the device has.
  const kept = (await firstLetter(imke, start, { edition: facts.edition, toKeep: true }))!;
  expect(kept.letter).toEqual(letter);
  expect(kept.facts.list).toBeUndefined();
  expect((await firstLetter(imke, start, { toKeep: true }))!.facts.list).toEqual(facts.list);
  expect((await firstLetter(imke, start, { template: 'nothing' }))!.letter).toBeUndefined();
  expect(await firstLetter(elsewhere, start, {})).toBeUndefined();
});

it('pages ask as many queries for many clients as for few', async () => {
  const asked = async () => ({
    today: await queriesOf(() => today(imke)),
    clients: await queriesOf(() => listRecords(imke, 'client')),
    invoices: await queriesOf(() => listRecords(imke, 'invoice')),
    client: await queriesOf(() => recordPage(imke, { kind: 'client', key: 'college' })),
    writing: await queriesOf(() => factsForWriting(imke, { kind: 'invoice', key: 'LPC-1048' })),
  });
  const few = await asked();
  await database.sequelize.query(`
    insert into client (business_id, id, key, name) select business.id, gen_random_uuid(), 'more-' || n, 'Client ' || n
      from business, generate_series(1, 300) n;
    insert into invoice (business_id, id, key, number, client_id, issued_on, due_on, status)
      select business_id, gen_random_uuid(), 'I-' || key, 'I-' || key, id, '2026-10-01', '2026-11-01', 'sent'
      from client where key like 'more-%';
    insert into invoice_line (business_id, invoice_id, position, unit_price)
      select business_id, id, 0, 1000 from invoice where key like 'I-more-%'`);
  for (const [page, queries] of Object.entries(await asked()))
    expect(queries, page).toBeLessThanOrEqual(few[page as keyof typeof few]);
});

it('a template’s words become a version; a later writer and a taken name are told', async () => {
  const template = (await templateInPencil(imke, 'short-note'))!;
  const text = printTemplate(template);
  expect(await keepTemplate(imke, 'short-note', 1, text.replace('Hello', 'Dear'))).toEqual({
    result: 'kept',
    version: 2,
  });
  expect(await keepTemplate({ ...imke, id: stableId('member', 'teo') }, 'short-note', 1, text)).toMatchObject(
    {
      result: 'overtaken',
      version: 2,
      by: 'Imke Sandoval',
    },
  );
  expect(
    await keepTemplate(imke, 'short-note', 2, text.replace('name: Short note', 'name: first REMINDER')),
  ).toEqual({
    result: 'wrong',
    problems: [
      {
        file: '',
        line: 2,
        column: 1,
        message: 'There is another template called “first REMINDER”. Give it a name of its own.',
      },
    ],
  });
  expect(await keepTemplate(imke, 'short-note', 2, text.replace('recipient.', 'recipent.'))).toMatchObject({
    result: 'wrong',
  });
  expect(await keepTemplate(imke, 'nothing', 1, text)).toEqual({ result: 'gone' });
  const moved = text.replace('group: Everyday', 'group: money').replace('name: Short note', 'name: A line');
  expect(await keepTemplate(imke, 'short-note', 2, moved)).toEqual({ result: 'kept', version: 3 });
  expect((await templateInPencil(imke, 'short-note'))!.head.name).toBe('A line');
  expect((await findTemplates(imke, 'a line money')).keys).toContain('short-note');
});

it('a payment is written down once, and not over somebody else’s', async () => {
  const payment = { amount: 100, paid_on: '2026-11-25', method: 'cash' };
  const { version } = (await recordPage(imke, { kind: 'invoice', key: 'LPC-1052' }))!.payable!;
  const both = await Promise.all([1, 2].map(() => recordPayment(imke, 'LPC-1052', version, payment)));
  expect(both.map(({ result }) => result).sort()).toEqual(['overtaken', 'recorded']);
  const invoice = { version: version + 1, position: 0 };
  expect(both).toContainEqual({ result: 'recorded', invoice });
  // More than is open is asked about; what was written down can be taken away while nothing else was done.
  const much = { ...payment, amount: 99_999_900 };
  expect(await recordPayment(imke, 'LPC-1052', version + 1, much)).toEqual({ result: 'more', open: 9500 });
  expect(await undoPayment(imke, 'LPC-1052', { ...invoice, version })).toBe(false);
  expect(await undoPayment(imke, 'LPC-1052', invoice)).toBe(true);
  expect((await recordPage(imke, { kind: 'invoice', key: 'LPC-1052' }))!.payable!.open).toBe('96.00');
  expect((await recordPayment(imke, 'LPC-1052', version + 2, much, true)).result).toBe('recorded');
  const again = { version: version + 3, position: 0 };
  expect(await undoPayment(imke, 'LPC-1052', again)).toBe(true);
  expect(await recordPayment(imke, 'LPC-9999', 1, payment)).toEqual({ result: 'gone' });
  expect(await recordPayment(imke, 'LPC-1060', 1, payment)).toEqual({ result: 'overtaken' });
});

it('members are offered in a demonstration only', async () => {
  delete process.env.FAIRQUILL_DEMONSTRATION;
  expect(await demonstrationMembers()).toEqual([]);
  process.env.FAIRQUILL_DEMONSTRATION = 'yes';
  expect((await demonstrationMembers()).map(({ name }) => name)).toEqual([
    'Imke Sandoval',
    'Runa Okafor',
    'Teo Marsh',
  ]);
});

it('a letter is found by its words, however they are accented, and by whom it went to', async () => {
  const { sequelize } = connection();
  await sequelize.query(
    `insert into message (business_id, id, message_id, thread_id, direction, came_as, kind, status, subject, text, at)
     values ($business, gen_random_uuid(), 'found@larkfield.example', gen_random_uuid(), 'in', 'automatic', 'letter', 'received', 'Die Überholung', 'Über 100 % zufrieden, O’Connell, Œrsted Straße', now())`,
    { bind: { business: imke.business_id } },
  );
  const found = async (words: string) => (await findLetters(imke, words)).map(({ subject }) => subject);
  expect(await found('uberholung oconnell')).toEqual(['Die Überholung']);
  expect(await found('strasse oersted')).toEqual(['Die Überholung']);
  expect(await found('Straße Œrsted')).toEqual(['Die Überholung']);
  expect(await found('uberholung nobody')).toEqual([]);
  // as far as it is typed, and in the forms of the business's language
  expect(await found('zufrie')).toEqual(['Die Überholung']);
  expect((await found('tuned')).length).toBeGreaterThan(0);
  expect(await found('tuned')).toEqual(expect.arrayContaining(await found('tuning')));
  expect((await found('accounts@thornholtcollege.example')).length).toBeGreaterThan(0);
  expect((await found('lpc1048')).length).toBe((await found('LPC-1048')).length);
  expect((await found('the')).length).toBeGreaterThan(0);
  expect(await found("' & | ! ( ) :* \\ <-> 'x")).toEqual([]);
  // what stands for anything elsewhere is a sign like any other
  expect(await found('ub%lung')).toEqual([]);
  expect(await findLetters({ ...elsewhere }, 'uberholung')).toEqual([]);
  expect(await found('')).toEqual([]);
});

import { randomUUID } from 'node:crypto';
import { expect, it } from 'vitest';
import type { ComingFacts, ComingRow } from '../../core/contract/bringing';
import { someRows } from '../../core/contract/bringing';
import type { BroughtKind, BroughtRow } from '../../core/bringing/brought';
import { openFile } from '../../core/bringing/openFile';
import { QueryTypes } from 'sequelize';
import { openDatabase } from '../../data/database';
import { connection } from '../connection';
import { listRecords } from '../lists/listRecords';
import { recordFacts, keepRecord } from '../records/keepRecord';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { bringNext } from './bringNext';
import {
  beginBringing,
  bringIn,
  bringingState,
  giveRows,
  latestBringings,
  matchesOf,
  ownWays,
  rememberedColumns,
  takeOut,
} from './bringing';

demonstrationDatabase();

async function counted(table: string): Promise<number> {
  const [row] = await connection().inBusiness(imke.business_id, () =>
    connection().sequelize.query<{ count: number }>(`select count(*)::int as count from ${table}`, {
      type: QueryTypes.SELECT,
    }),
  );
  return row!.count;
}

async function work(): Promise<void> {
  const database = openDatabase(process.env.DATABASE_URL!, { across: true });
  while (await bringNext(database));
  await database.close();
}

async function give<Kind extends BroughtKind>(
  kind: Kind,
  facts: readonly ComingFacts[Kind][],
  name = 'file.csv',
) {
  const id = randomUUID();
  await beginBringing(imke, {
    id,
    kind,
    name,
    total: facts.length,
    heads: ['Who', 'Where'],
    columns: ['name', null],
  });
  const rows = facts.map((one, i) => ({ row: i + 2, facts: one })) as unknown as ComingRow[];
  const { own } = await (await import('../records/formChoices')).formGround(imke);
  // What is given has the form that the route wants.
  await someRows(kind, own).validate({ position: 0, rows }, { strict: true });
  expect(await giveRows(imke, id, 0, rows)).toBe(true);
  return id;
}

const client = (name: string, more: object = {}): ComingFacts['client'] => ({
  kind: 'person',
  name,
  tags: [],
  ...more,
});

it('clients come in behind whoever brings them, once, and go out again, but for those that something has come of', async () => {
  const before = await counted('client');
  const id = await give('client', [
    client('Petra Vance', { email: 'petra@post.example', address: { town: 'Saltby' } }),
    client('Petra Vance'),
    client('Rufus Alder', { since: '2020-01-01' }),
  ]);
  expect(await counted('client')).toBe(before);
  expect(await bringIn(imke, id)).toMatchObject({ state: 'coming', done: 0, total: 3 });
  await Promise.all([work(), work()]);
  expect(await bringingState(imke, id)).toMatchObject({ state: 'in', done: 3, leftOver: [] });
  expect(await counted('client')).toBe(before + 3);
  // Since when somebody is a client only a file can say.
  const second = await recordFacts(imke, 'client', 'petra-vance-2');
  expect(second).toMatchObject({ name: 'Petra Vance' });
  expect(second).not.toHaveProperty('since');
  expect(await recordFacts(imke, 'client', 'rufus-alder')).toMatchObject({ since: '2020-01-01' });
  // Found like the others at once.
  expect((await listRecords(imke, 'client')).entries.length).toBeGreaterThan(0);
  // Asked for again nothing comes twice.
  expect(await bringIn(imke, id)).toMatchObject({ state: 'in' });
  await work();
  expect(await counted('client')).toBe(before + 3);
  expect(await giveRows(imke, id, 1, [{ row: 9, facts: client('Late') }])).toBe(false);

  const rufus = (await recordFacts(imke, 'client', 'rufus-alder'))!;
  await keepRecord(imke, 'client', 'rufus-alder', { ...rufus, notes: 'Rings twice.' });
  expect(await takeOut(imke, id)).toMatchObject({ state: 'going', total: 3 });
  await work();
  expect(await bringingState(imke, id)).toMatchObject({
    state: 'out',
    leftOver: [
      { name: 'Rufus Alder', message: 'It was changed, or something has come of it since: it stays.' },
    ],
  });
  expect(await counted('client')).toBe(before + 1);
  expect((await latestBringings(imke))[0]).toMatchObject({ id, canGoOut: false });
});

it('nothing comes in before all of it was given, and what a killed process left is gone on with', async () => {
  const before = await counted('client');
  const id = randomUUID();
  const rows = (from: number): ComingRow[] =>
    Array.from({ length: 3 }, (_, i) => ({ row: from + i, facts: client(`Brought ${from + i}`) }));
  await beginBringing(imke, { id, kind: 'client', name: 'a.vcf', total: 6, heads: [], columns: [] });
  await giveRows(imke, id, 1, rows(4));
  expect(await bringIn(imke, id)).toEqual({
    stays: '3 of its rows have not arrived yet. Bring it in again.',
  });
  await giveRows(imke, id, 0, rows(1));
  await giveRows(imke, id, 0, rows(1));
  await bringIn(imke, id);
  const database = openDatabase(process.env.DATABASE_URL!, { across: true });
  expect(await bringNext(database)).toBe(true);
  await database.close();
  expect(await bringingState(imke, id)).toMatchObject({ state: 'coming', done: 3 });
  await work();
  expect(await bringingState(imke, id)).toMatchObject({ state: 'in', done: 6 });
  expect(await counted('client')).toBe(before + 6);
});

it('begun again before it was given whole, it is as it is then', async () => {
  const id = randomUUID();
  const asked = { id, kind: 'client' as const, name: 'a.csv', heads: [], columns: [] };
  await beginBringing(imke, { ...asked, total: 3 });
  await giveRows(imke, id, 0, [
    { row: 2, facts: client('Left') },
    { row: 3, facts: client('Behind') },
  ]);
  // One was left out by hand meanwhile.
  await beginBringing(imke, { ...asked, total: 1 });
  await giveRows(imke, id, 0, [{ row: 2, facts: client('Mended Meanwhile') }]);
  expect(await bringIn(imke, id)).toMatchObject({ state: 'coming', total: 1 });
  // Begun again when it is on its way, it stands.
  await beginBringing(imke, { ...asked, total: 9 });
  expect(await bringingState(imke, id)).toMatchObject({ state: 'coming', total: 1 });
  await work();
  expect(await recordFacts(imke, 'client', 'mended-meanwhile')).toBeDefined();
  expect(await recordFacts(imke, 'client', 'behind')).toBeUndefined();
});

it('one that the database refuses keeps no other out', async () => {
  const before = await counted('client');
  const id = randomUUID();
  const rows: ComingRow[] = [
    { row: 2, facts: client('Whole One') },
    // A field that was there when it was given, and is there no more.
    { row: 3, facts: client('Refused', { custom: { gone_by_now: 'x' } }) },
    { row: 4, facts: client('Whole Two') },
  ];
  await beginBringing(imke, { id, kind: 'client', name: 'a.csv', total: 3, heads: [], columns: [] });
  await giveRows(imke, id, 0, rows);
  await bringIn(imke, id);
  await work();
  expect(await bringingState(imke, id)).toMatchObject({
    state: 'in',
    done: 3,
    leftOver: [
      { name: 'Refused (3)', message: 'It does not fit what is kept here by now. Write it down by hand.' },
    ],
  });
  expect(await counted('client')).toBe(before + 2);
});

it('what columns were taken for is remembered with the heads that they have', async () => {
  expect(await rememberedColumns(imke, ['Who', 'Where'])).toEqual({
    kind: 'client',
    columns: ['name', null],
  });
  expect(await rememberedColumns(imke, ['Who'])).toEqual({});
});

it('what is there is told: by an address of a client or of their people, a number however written, a name', async () => {
  const rows = [
    { row: 1, emails: ['ODA@hartigan.example'], phones: [], names: [] },
    { row: 2, emails: [], phones: [], names: ['oda and per hartigan'] },
    { row: 3, emails: ['nobody@post.example'], phones: ['12'], names: ['nobody'] },
  ];
  const known = (await recordFacts(imke, 'client', 'hartigan'))!;
  rows[0]!.emails = [known.email!.toUpperCase()];
  rows[1]!.names = [known.name.toUpperCase()];
  const found = await matchesOf(imke, { kind: 'client', rows });
  expect(found.map(({ row, clients }) => [row, clients[0]?.key, clients[0]?.by])).toEqual([
    [1, 'hartigan', 'email'],
    [2, 'hartigan', 'name'],
  ]);
  const [asked] = await matchesOf(imke, {
    kind: 'booking',
    rows: [
      { row: 1, emails: [], phones: [], names: [`Tuning for ${known.name}, upstairs`], mark: 'no such' },
    ],
  });
  expect(asked?.clients).toMatchObject([{ key: 'hartigan', by: 'name' }]);
  const [perhaps] = await matchesOf(imke, {
    kind: 'booking',
    rows: [{ row: 1, emails: [], phones: [], names: ['Hartigan, the grand'] }],
  });
  expect(perhaps?.clients).toMatchObject([{ key: 'hartigan', by: 'last name' }]);
  const phone = (known.phone ?? known.mobile)!;
  const [rung] = await matchesOf(imke, {
    kind: 'client',
    rows: [{ row: 7, emails: [], phones: [phone.replace(/ /g, '-').replace(/^0/, '+44 ')], names: [] }],
  });
  expect(rung).toMatchObject({
    row: 7,
    clients: expect.arrayContaining([expect.objectContaining({ key: 'hartigan', by: 'number' })]) as object,
  });
});

it('a calendar comes in; brought again it moves its visits, and taken out they are as before', async () => {
  const own = await ownWays(imke);
  const calendar = (start: string) =>
    openFile(
      new TextEncoder().encode(
        `BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:v1@post.example\r\nSUMMARY:Tuning visit\r\nDTSTART:${start}\r\nDURATION:PT1H\r\nEND:VEVENT\r\nEND:VCALENDAR`,
      ),
      own,
    ).read() as BroughtRow<never>[];
  const coming = (start: string) =>
    calendar(start).map(({ facts }) => {
      const { whose: _, ...rest } = facts as unknown as { whose: object };
      return { ...rest, client: 'hartigan' } as unknown as ComingFacts['booking'];
    });
  const before = await counted('booking');
  const first = await give('booking', coming('20270301T100000Z'), 'a.ics');
  await bringIn(imke, first);
  await work();
  expect(await counted('booking')).toBe(before + 1);
  const key = (
    await matchesOf(imke, {
      kind: 'booking',
      rows: [{ row: 1, emails: [], phones: [], names: [], mark: 'v1@post.example' }],
    })
  )[0]!.there!.key;
  const home = (await recordFacts(imke, 'client', 'hartigan'))!.address;
  expect(await recordFacts(imke, 'booking', key)).toMatchObject({
    client: 'hartigan',
    location: home,
    status: 'confirmed',
  });

  const again = await give('booking', coming('20270301T100000Z'), 'a.ics');
  await bringIn(imke, again);
  await work();
  expect((await bringingState(imke, again))?.leftOver).toEqual([
    { name: 'tuning visit, 2027-03-01 (2)', message: 'It is there already, as it is.' },
  ]);
  const moved = await give('booking', coming('20270302T140000Z'), 'a.ics');
  await bringIn(imke, moved);
  await work();
  expect(await recordFacts(imke, 'booking', key)).toMatchObject({ starts_at: '2027-03-02T14:00:00+00:00' });
  expect(await counted('booking')).toBe(before + 1);
  await takeOut(imke, moved);
  await work();
  expect(await recordFacts(imke, 'booking', key)).toMatchObject({ starts_at: '2027-03-01T10:00:00+00:00' });
  // Changed since, it stays.
  await takeOut(imke, first);
  await work();
  expect(await counted('booking')).toBe(before + 1);
  expect((await bringingState(imke, first))?.leftOver).toHaveLength(1);
});

it('invoices come in as they were issued, with what was paid; payments after them; and out again', async () => {
  const before = [await counted('invoice'), await counted('payment')];
  const id = await give('invoice', [
    {
      client: 'hartigan',
      number: 'OLD-1',
      status: 'sent',
      issued_on: '2026-10-01',
      due_on: '2026-10-15',
      lines: [{ description: 'Tuning', unit_price: 9_600, tax_rate: '20' }],
      payments: [{ paid_on: '2026-10-12', amount: 5_000 }],
    },
    {
      client: 'nobody-at-all',
      number: 'OLD-2',
      status: 'sent',
      issued_on: '2026-10-01',
      lines: [{ description: 'Tuning', unit_price: 9_600 }],
      payments: [],
    },
    {
      client: 'hartigan',
      number: 'LPC-1048',
      status: 'sent',
      issued_on: '2026-10-01',
      lines: [{ description: 'Tuning', unit_price: 9_600 }],
      payments: [],
    },
  ]);
  await bringIn(imke, id);
  await work();
  expect(await bringingState(imke, id)).toMatchObject({
    state: 'in',
    leftOver: [
      { name: 'OLD-2 (3)', message: 'This client is no longer there.' },
      { name: 'LPC-1048 (4)', message: 'An invoice of this number is there already.' },
    ],
  });
  const [match] = await matchesOf(imke, {
    kind: 'payment',
    rows: [{ row: 2, emails: [], phones: [], names: [], mark: 'OLD-1' }],
  });
  expect(match?.there).toMatchObject({ open: 11_520 - 5_000 });
  const invoice = match!.there!.key;
  const pay = (amount: number) => ({ invoice, paid_on: '2026-11-02', amount, reference: 'x' });
  const paid = await give('payment', [pay(2_000), pay(2_000), pay(90_000)]);
  await bringIn(imke, paid);
  await work();
  expect((await bringingState(imke, paid))?.leftOver.map(({ message }) => message)).toEqual([
    'A payment of this sum on this day is there already.',
    'It is more than what is open on it.',
  ]);
  await takeOut(imke, paid);
  await work();
  expect(await bringingState(imke, paid)).toMatchObject({ state: 'out', leftOver: [] });
  // The payment and its undoing changed the invoice: it stays, and it is told.
  await takeOut(imke, id);
  await work();
  expect((await bringingState(imke, id))?.leftOver).toMatchObject([{ name: 'OLD-1' }]);
  expect([await counted('invoice'), await counted('payment')]).toEqual([before[0]! + 1, before[1]! + 1]);
});

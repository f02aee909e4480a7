import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { checkRecords } from '../../core/records/read/checkRecords';
import { RecordBook } from '../../core/records/recordBook';
import type { RecordsFile } from '../../core/records/recordsFile';
import { recordsOfBusiness } from '../repositories/recordsOfBusiness';
import { TABLES } from '../database';
import { NOW, temporaryDatabase, withDemonstration, type TemporaryDatabase } from '../test/temporaryDatabase';
import { whyNotReset } from './loadDemonstration';
import type { Demonstration } from './readDemonstration';
import { stableId } from '../stableId';

let database: TemporaryDatabase;
let demonstration: Demonstration;
const BUSINESS = stableId('business', 'larkfield');

beforeAll(async () => {
  database = await temporaryDatabase();
  demonstration = await withDemonstration(database);
});
afterAll(() => database.drop());

/** Every row of every table as text, in order. The moment of keeping and the drawn number are all that differs. */
async function everything(): Promise<Record<string, string[]>> {
  const all: Record<string, string[]> = {};
  for (const name of Object.keys(TABLES)) {
    const rows = await database.sequelize.query<{ row: string }>(
      `select (to_jsonb("${name}") - 'kept_at' - 'sequence')::text as row from "${name}" order by 1`,
      { type: QueryTypes.SELECT },
    );
    all[name] = rows.map(({ row }) => row);
  }
  return all;
}

describe('the demonstration business', () => {
  it('loaded twice is the same data', async () => {
    const first = await everything();
    await withDemonstration(database);
    expect(await everything()).toEqual(first);
    expect(first.client!.length).toBe(41);
  });

  it('stays as it was when loading it anew fails', async () => {
    const before = await everything();
    const broken = {
      ...demonstration,
      messages: [...demonstration.messages, { ...demonstration.messages[0]!, status: 'lost' }],
    };
    const { loadDemonstration } = await import('./loadDemonstration');
    await expect(loadDemonstration(database, broken)).rejects.toThrow();
    expect(await everything()).toEqual(before);
  });

  it('is exported as the records that were loaded', async () => {
    const exported = (await recordsOfBusiness(database, BUSINESS))!;
    expect(checkRecords(exported)).toEqual([]);
    expect(comparable(exported)).toEqual(comparable(demonstration.records));
  });

  it('is exported with as many queries for many clients as for few', async () => {
    const count = async () => {
      let queries = 0;
      const { options } = database.sequelize as unknown as { options: { logging: unknown } };
      options.logging = () => queries++;
      await recordsOfBusiness(database, BUSINESS);
      options.logging = false;
      return queries;
    };
    const few = await count();
    await database.sequelize.query(`insert into client (business_id, id, key, name)
      select '${BUSINESS}', gen_random_uuid(), 'many-' || n, 'Client ' || n from generate_series(1, 2000) n`);
    expect(await count()).toBe(few);
    await database.sequelize.query("delete from client where key like 'many-%'");
  });
});

describe('the scenario holds on any day', () => {
  const book = () => new RecordBook(demonstration.records, NOW);

  it('has what it should have', () => {
    const { clients, bookings, projects, enquiries, invoices } = demonstration.records;
    expect([
      clients!.length,
      bookings!.length,
      projects!.length,
      enquiries!.length,
      invoices!.length,
    ]).toEqual([41, 88, 14, 5, 60]);
    expect(enquiries!.filter(({ status }) => status === 'waiting')).toHaveLength(3);
    expect(new Set(projects!.map(({ status }) => status))).toEqual(
      new Set(['enquiry', 'planned', 'active', 'finished', 'cancelled']),
    );
    expect(demonstration.groups.map(({ name }) => name)).toEqual([
      'Enquiries',
      'Visits',
      'Workshop',
      'Money',
      'Afterwards',
      'Everyday',
    ]);
  });

  it('has invoices in every state, overdue by 2, 9, 24 and 63 days', () => {
    const sums = demonstration.records.invoices!.map((invoice) => book().sumsOf(invoice));
    expect(new Set(sums.map(({ state }) => state))).toEqual(
      new Set(['paid', 'part paid', 'open', 'overdue', 'draft', 'void']),
    );
    expect(
      sums
        .map(({ daysOverdue }) => daysOverdue)
        .filter(Boolean)
        .sort((a, b) => a - b),
    ).toEqual([2, 9, 24, 63]);
  });

  it('has one date with a clash, and no other', () => {
    const teoAndImke = demonstration.records.bookings!.filter(({ status }) => status !== 'cancelled');
    const clashes = teoAndImke.flatMap((a, i) =>
      teoAndImke
        .slice(i + 1)
        .filter((b) => a.member === b.member && a.starts_at! < b.ends_at! && b.starts_at! < a.ends_at!),
    );
    expect(clashes).toHaveLength(1);
  });

  it('has letters with replies, one that came back and one held', async () => {
    const of = (where: { direction?: 'in'; status?: 'bounced' | 'held' }) =>
      database.models.message.count({ where });
    expect(await of({ direction: 'in' })).toBe(4);
    expect(await of({ status: 'bounced' })).toBe(1);
    expect(await of({ status: 'held' })).toBe(1);
  });
});

/** Order of records, and of keys, does not matter; empty lists are missing ones. */
function comparable(file: RecordsFile): unknown {
  const lists = Object.entries(file).map(([name, value]) => {
    if (!Array.isArray(value)) return [name, value];
    const sorted = [...value].sort((a: { key: string }, b: { key: string }) => (a.key < b.key ? -1 : 1));
    return [name, sorted];
  });
  const plain = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(plain);
    if (typeof value !== 'object' || value === null) return value;
    const entries = Object.entries(value).filter(
      ([, one]) => one !== null && !(Array.isArray(one) && one.length === 0),
    );
    // Percentages come back as decimal text.
    return Object.fromEntries(
      entries
        .map(([key, one]) => [
          key,
          ['tax_rate', 'discount', 'quantity'].includes(key) ? String(one) : plain(one),
        ])
        .sort(),
    );
  };
  return plain(Object.fromEntries(lists));
}

describe('loading the demonstration anew', () => {
  const change = (sql: string) => database.sequelize.query(sql);
  const why = () => whyNotReset(database, demonstration);

  it('is held up by nothing as long as it is the demonstration', async () => {
    expect(await why()).toBeUndefined();
  });

  it.each([
    [
      'letters on their way',
      "update message set status = 'going', from_address = 'imke@larkfield.example', goes_at = now() where id = (select id from message where direction = 'out' limit 1)",
      'Letters of it are on their way (1).',
    ],
    ['a name of its own', "update business set name = 'Rosewood Tuning'", '“Rosewood Tuning” is no longer'],
    [
      'a client of its own',
      "insert into client (business_id, id, key, name) select id, gen_random_uuid(), 'own', 'My own' from business",
      'is no longer the demonstration',
    ],
  ])('is refused for %s, which would be lost', async (_, sql, words) => {
    await change(sql);
    expect(await why()).toContain(words);
    await withDemonstration(database);
    expect(await why()).toBeUndefined();
  });
});

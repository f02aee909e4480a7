import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { STARTING_POINTS, type StartingKind } from '../../../core/records/recordKind';
import { hasWords, searchable, wordsWanted } from '../../../core/searching/finder';
import { searchWays } from '../../../core/searching/searchWays';
import { stableId } from '../../stableId';
import {
  NOW,
  temporaryDatabase,
  withDemonstration,
  type TemporaryDatabase,
} from '../../test/temporaryDatabase';
import { foundRecords, listPage, NoSuchPlace, type ListPlace } from './listPages';
import { RECORD_LISTS } from './recordLists';

let database: TemporaryDatabase;
const BUSINESS = stableId('business', 'larkfield');
const bind = { now: new Date(NOW) };

beforeAll(async () => {
  database = await temporaryDatabase();
  await withDemonstration(database);
});
afterAll(() => database.drop());

const page = (kind: StartingKind, asked: { after?: ListPlace; most: number }) =>
  listPage<{ key: string }>(database, BUSINESS, RECORD_LISTS[kind], {
    ...asked,
    ...(kind === 'booking' ? { bind } : {}),
  });

describe.each(STARTING_POINTS)('the list of each %s', (kind) => {
  it('is the same piece by piece, whatever the pieces', async () => {
    const whole = (await page(kind, { most: 1000 })).rows.map(({ key }) => key);
    expect(whole.length).toBeGreaterThan(2);
    expect(new Set(whole).size).toBe(whole.length);
    for (const most of [1, 2, 7, whole.length]) {
      const pieces: string[] = [];
      let after: ListPlace | undefined;
      do {
        const { rows, next } = await page(kind, { most, ...(after ? { after } : {}) });
        pieces.push(...rows.map(({ key }) => key));
        after = next;
      } while (after);
      expect(pieces).toEqual(whole);
    }
  });

  it('knows a place that is none', async () => {
    for (const at of [
      ['x', 'x'],
      ['2026-99-99', 'x'],
      ['\0', 'x'],
      ["'; drop table client; --", ''],
    ] as [string, string][]) {
      const asked = page(kind, { after: { segment: 0, at }, most: 2 });
      // Every text is a place in a list by name.
      await (kind === 'client'
        ? expect(asked).resolves.toBeDefined()
        : expect(asked).rejects.toThrow(NoSuchPlace));
    }
    expect((await page(kind, { after: { segment: 7, at: ['', ''] }, most: 2 })).rows).toEqual([]);
  });
});

describe('records are found by their words', () => {
  const found = async (kind: StartingKind, search: string) => {
    const ids = await database.inBusiness(BUSINESS, () =>
      foundRecords(database, kind, searchWays(search, 'en-GB')),
    );
    return ids.length;
  };

  it.each<[StartingKind, string, number]>([
    ['client', 'o’brain', 0],
    ['client', 'ines castellanos', 1],
    ['client', 'CASTELLANOS Inés', 1],
    ['client', '01632 960136', 1],
    ['client', '+44 1632 960136', 1],
    ['client', '960136', 1],
    ['invoice', 'lpc1048', 1],
    ['invoice', 'LPC-1048', 1],
    ['invoice', '1048 thornholt', 1],
    ['invoice', '%', 0],
    ['invoice', '_______', 0],
    ['invoice', "'; drop table client; --", 0],
    ['project', 'nobody', 0],
  ])('%s: %s', async (kind, search, count) => expect(await found(kind, search)).toBe(count));

  it('by months and days in the language of the business', async () => {
    const monday = await database.inBusiness(BUSINESS, () =>
      foundRecords(database, 'booking', searchWays('Montag 30 November', 'de-DE')),
    );
    expect(monday.length).toBe(await found('booking', 'monday 30 november'));
    expect(monday.length).toBeGreaterThan(0);
  });

  it('in no other business', async () => {
    const other = stableId('business', 'other');
    const ways = searchWays('lpc', 'en-GB');
    expect(await database.inBusiness(other, () => foundRecords(database, 'invoice', ways))).toEqual([]);
    expect(await foundRecords(database, 'invoice', ways)).toEqual([]);
  });

  it('as they are now', async () => {
    const run = (sql: string) => database.sequelize.query(sql);
    const all = async () => {
      const visits = await found('booking', 'hartigan');
      await run("update client set name = 'Oda Quillfeather' where key = 'hartigan'");
      expect([await found('client', 'quillfeather'), await found('booking', 'quillfeather')]).toEqual([
        1,
        visits,
      ]);
      expect(await found('booking', 'hartigan')).toBe(0);
      await run("update contact set given_name = 'Zebulon', preferred_name = null where key = 'hale'");
      expect(await found('client', 'zebulon brandreth')).toBe(1);
      await run("update invoice set number = 'NEU-7' where key = 'LPC-1048'");
      expect([
        await found('invoice', 'neu7'),
        await found('client', 'neu-7'),
        await found('invoice', 'lpc-1048'),
      ]).toEqual([1, 1, 0]);
      await run("delete from contact where key = 'hale'");
      expect(await found('client', 'zebulon')).toBe(0);
      await run(
        `insert into client (business_id, id, key, name) values ('${BUSINESS}', gen_random_uuid(), 'new', 'Wilhelmina Überall')`,
      );
      expect(await found('client', 'uberall')).toBe(1);
      await run("delete from client where key = 'new'");
      expect(await found('client', 'uberall')).toBe(0);
      const [left] = await database.sequelize.query<{ count: number }>(
        // Numbers of invoices come in any order.
        `select count(*) from record_words full join records_in_words now using (business_id, kind, id)
         where array(select unnest(string_to_array(record_words.words, ' ')) word order by word)
           <> array(select unnest(string_to_array(now.words, ' ')) word order by word)
           or record_words.words is null or now.words is null`,
        { type: QueryTypes.SELECT },
      );
      expect(left!.count).toBe(0);
      throw new Error('and undone');
    };
    await expect(database.inTransaction(all)).rejects.toThrow('and undone');
  });
});

describe('the database finds what the core finds', () => {
  const TEXTS = [
    'Caoimhe Ó Briain, 14 Überholung Straße',
    'LPC-1048, O’Connell',
    '+44 1632 960136 at 09:30',
    'Monday 30 November 2026',
    'a/b-c.d 3.14 100',
    'tuning  visit (upright)',
    '01632 960101',
    'hale@thornholtcollege.example',
    'æther Œrsted łódź',
    '642.00',
  ];
  const SEARCHES = [
    'briain',
    'ó briain',
    'strasse',
    'uberholung',
    'lpc1048',
    'lpc-1048',
    'LPC 1048',
    '1048',
    '960136',
    '09:30',
    '30',
    '3',
    '30 november',
    'november 3',
    'oconnell',
    'upright visit',
    'thornholtcollege',
    'abcd',
    '314',
    '100',
    'aether',
    'lodz',
    '642',
    '642.00',
    '1632',
    'uning',
    'xyz',
  ];

  it('for texts and searches of every sort', async () => {
    const different: string[] = [];
    for (const text of TEXTS)
      for (const search of SEARCHES) {
        const conditions = searchWays(search, 'en-GB').map((ways) =>
          ways.map(({ like, match }) => {
            const quote = (value: string) => database.sequelize.escape(value);
            return `(words like ${quote(like)}${match ? ` and words ~ ${quote(match)}` : ''})`;
          }),
        );
        const [row] = await database.sequelize.query<{ has: boolean }>(
          `select ${conditions.map((any) => `(${any.join(' or ')})`).join(' and ')} as has
           from (select search_words(${database.sequelize.escape(text)}) as words) one`,
          { type: QueryTypes.SELECT },
        );
        if (row!.has !== hasWords(searchable(text), wordsWanted(search)))
          different.push(`${search} in ${text}: ${row!.has}`);
      }
    expect(different).toEqual([]);
  });
});

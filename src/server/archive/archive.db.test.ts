import { createWriteStream } from 'node:fs';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { ZipFile } from 'yazl';
import { openFile } from '../../core/bringing/openFile';
import { checkRecords } from '../../core/records/read/checkRecords';
import { readTemplate } from '../../core/template/text/readTemplate';
import { archiveRows } from '../../data/archive/archiveRows';
import { archiveTables } from '../../data/archive/archiveTables';
import { openDatabase, type Database } from '../../data/database';
import {
  temporaryDatabase,
  withDemonstration,
  NOW,
  type TemporaryDatabase,
} from '../../data/test/temporaryDatabase';
import { mergeClients } from '../../data/repositories/records/mergeClients';
import { removeRecord } from '../../data/repositories/records/removedRecords';
import { clientFacts } from '../../data/repositories/records/clients';
import { imke } from '../test/imke';
import { bringBack, NoArchive } from './bringBack';
import { connection } from '../connection';
import { bringRecordFile } from '../files/recordFiles';
import { takeOut } from './takeOut';

let here: TemporaryDatabase;
let there: TemporaryDatabase;
let [from, to]: Database[] = [];
let folder: string;
const file = (name: string) => path.join(folder, name);

const OWNER = '00000000-0000-4000-8000-0000000000d1';
const SHA256_OF_ABC = 'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad';
const EMPTY = '00000000-0000-4000-8000-0000000000d0';

/** A business as it is when it has just been made. */
async function makeEmpty(
  database: Database,
  { email = 'imke@larkfield.example', id = EMPTY, key = 'new' } = {},
) {
  await database.acrossBusinesses(async () => {
    await database.models.business.create({
      ...{ id, key, name: 'New', locale: 'en-GB', time_zone: 'Europe/London', currency: 'GBP' },
      ...{ hour_cycle: 24, working_days: [1], holidays: [], item_label: 'item' },
    } as never);
    await database.models.member.create({
      ...{
        business_id: id,
        id: OWNER,
        key: 'imke',
        full_name: 'Imke',
        email,
        role: 'owner',
        password_hash: 'theirs',
      },
    } as never);
  });
}

/** Every row that is taken out, as text, by its table. */
async function everything(database: Database, business_id: string): Promise<Map<string, string[]>> {
  const said = new Map<string, string[]>();
  await database.acrossBusinesses(async () => {
    for (const table of await archiveTables(database)) {
      const lines: string[] = [];
      for await (const line of archiveRows(database, business_id, table)) {
        const { sequence: _, line_amount: _amount, ...row } = JSON.parse(line) as Record<string, unknown>;
        if (table.name === 'business') {
          delete row.key;
          delete row.invites;
        }
        lines.push(JSON.stringify(row).replaceAll(business_id, 'here'));
      }
      said.set(table.name, lines.sort());
    }
  });
  return said;
}

async function words(database: Database, business_id: string, table: string): Promise<unknown[]> {
  return database.acrossBusinesses(() =>
    database.sequelize.query(`select words from ${table} where business_id = $business_id order by words`, {
      bind: { business_id },
      type: QueryTypes.SELECT,
    }),
  );
}

async function unpacked(name: string): Promise<Map<string, Buffer>> {
  const yauzl = (await import('yauzl')).default;
  return new Promise((resolve, reject) => {
    const all = new Map<string, Buffer>();
    yauzl.open(name, { lazyEntries: true }, (error, zip) => {
      if (error) return reject(error);
      zip.on('entry', (entry: { fileName: string }) =>
        zip.openReadStream(entry as never, (_, stream) => {
          const parts: Buffer[] = [];
          stream
            .on('data', (part: Buffer) => parts.push(part))
            .on('end', () => {
              all.set(entry.fileName, Buffer.concat(parts));
              zip.readEntry();
            });
        }),
      );
      zip.on('end', () => resolve(all));
      zip.readEntry();
    });
  });
}

let archive: Map<string, Buffer>;

beforeAll(async () => {
  here = await temporaryDatabase();
  there = await temporaryDatabase();
  await withDemonstration(here);
  from = openDatabase(here.url, { across: true });
  to = openDatabase(there.url, { across: true });
  folder = await mkdtemp(path.join(tmpdir(), 'archive-'));
  // Something removed, something merged, a file, a letter on its way.
  await from.acrossBusinesses(async () => {
    const [booking] = (await from!.models.booking.findAll({
      attributes: ['key', 'version'],
      limit: 1,
      raw: true,
    })) as unknown as {
      key: string;
      version: number;
    }[];
    await removeRecord(from!, imke, 'booking', booking!.key, booking!.version, new Date(NOW));
    const facts = (await clientFacts(from!, imke.business_id, 'reyes'))!;
    const other = (await clientFacts(from!, imke.business_id, 'calder'))!;
    await mergeClients(
      from!,
      imke,
      { kept: { key: 'reyes', version: facts.version }, gone: { key: 'calder', version: other.version } },
      facts,
      new Date(NOW),
    );
    await from!.models.file.create({
      ...{ business_id: imke.business_id, sha256: SHA256_OF_ABC, media_type: 'text/plain', size: 3 },
      content: Buffer.from('abc'),
    });
    await from!.models.own_file.create({
      ...{ business_id: imke.business_id, id: OWNER, name: 'prices.txt', size: 3, sha256: SHA256_OF_ABC },
      brought_at: new Date(NOW),
    });
  });
  process.env.DATABASE_URL = here.url;
  const owner = { kind: 'client', key: 'quist' } as const;
  expect(await bringRecordFile(imke, owner, '=Sketch.txt', Buffer.from('a sketch'))).toMatchObject({
    result: 'done',
  });
  await pipeline(takeOut(from, imke.business_id, NOW), createWriteStream(file('all.zip')));
  archive = await unpacked(file('all.zip'));
});
afterAll(async () => {
  await Promise.all([from!.close(), to!.close(), connection().close()]);
  await Promise.all([here.drop(), there.drop()]);
  await rm(folder, { recursive: true });
});

it('a business that is brought back is as it was, table by table, and found by the same words', async () => {
  await makeEmpty(to!);
  const before = await everything(from!, imke.business_id);
  expect(before.get('client')!.length).toBeGreaterThan(20);
  expect(before.get('removed_record')).toHaveLength(1);
  expect(before.get('merged_client')).toHaveLength(1);
  const brought = await bringBack(to!, file('all.zip'));
  expect(brought.name).toBe('Larkfield Piano Care');
  const after = await everything(to!, EMPTY);
  expect([...after.keys()]).toEqual([...before.keys()]);
  for (const [table, rows] of before) {
    if (table === 'message') continue;
    expect(after.get(table), table).toEqual(rows);
  }
  // What was on its way waits; everything else of letters is as it was.
  const letter = (line: string) => {
    const {
      status,
      reason: _r,
      goes_at: _g,
      claimed_at: _a,
      claimed_by: _b,
      ...rest
    } = JSON.parse(line) as Record<string, unknown>;
    return JSON.stringify({ ...rest, status: status === 'going' ? 'held' : status });
  };
  expect(after.get('message')!.map(letter)).toEqual(before.get('message')!.map(letter));
  for (const table of ['record_words', 'letter_words'])
    expect(await words(to!, EMPTY, table), table).toEqual(await words(from!, imke.business_id, table));
});

it('nobody has a password but whoever made the empty business', async () => {
  const members = (await to!.acrossBusinesses(() =>
    to!.models.member.findAll({
      where: { business_id: EMPTY },
      attributes: ['email', 'password_hash', 'role'],
      raw: true,
    }),
  )) as unknown as { email: string; password_hash: string; role: string }[];
  expect(members.find(({ email }) => email === 'imke@larkfield.example')).toMatchObject({
    password_hash: 'theirs',
    role: 'owner',
  });
  expect(members.filter(({ password_hash }) => password_hash !== 'none')).toHaveLength(1);
  for (const [name, content] of archive) expect(content.includes('scrypt'), name).toBe(false);
});

it('what is there stays: it is brought back into an empty business alone', async () => {
  await expect(bringBack(to!, file('all.zip'))).rejects.toThrow(
    /is not empty: it has members, records or letters/,
  );
  await makeEmpty(to!, {
    email: 'other@post.example',
    id: '00000000-0000-4000-8000-0000000000e0',
    key: 'second',
  });
  await expect(bringBack(to!, file('all.zip'))).rejects.toThrow(
    /There are several businesses: name one with --business/,
  );
  await expect(bringBack(to!, file('all.zip'), 'nobody')).rejects.toThrow('There is no business “nobody”.');
  await expect(bringBack(to!, file('all.zip'), 'second')).rejects.toThrow(
    /signs in at another business here/,
  );
});

it('other programs can read it', async () => {
  const own = {
    ...{
      locale: 'en-GB',
      currency: 'GBP',
      zone: 'Europe/London',
      hourCycle: 24 as const,
      now: NOW,
      fields: [],
      services: [],
    },
  };
  const rows = (name: string) => openFile(archive.get(name)!, own).read();
  const clients = (await everything(from!, imke.business_id)).get('client')!;
  expect(rows('clients.csv').filter(({ facts }) => facts)).toHaveLength(clients.length);
  expect(rows('clients.vcf').filter(({ facts }) => facts).length).toBeGreaterThanOrEqual(clients.length);
  expect(rows('bookings.ics').filter(({ facts }) => facts).length).toBeGreaterThan(10);
  expect(rows('invoices.csv').filter(({ facts }) => facts).length).toBeGreaterThan(5);
  expect(checkRecords(JSON.parse(archive.get('records.json')!.toString('utf8')))).toEqual([]);
  const templates = [...archive.keys()].filter((name) => name.startsWith('templates/'));
  expect(templates.length).toBeGreaterThan(20);
  for (const name of templates)
    expect(readTemplate(archive.get(name)!.toString('utf8'), name).problems, name).toEqual([]);
  const named = archive.get('files.csv')!.toString('utf8').split('\r\n');
  // A spreadsheet would run it.
  const sketch = named.find((line) => line.startsWith("'=Sketch.txt,Mags Quist,"))!;
  expect(archive.get(sketch.split(',').at(-1)!)!.toString()).toBe('a sketch');
  expect(named).toContainEqual(expect.stringMatching(/^prices\.txt,,files\//));
  const letters = [...archive].filter(([name]) => name.endsWith('.eml'));
  expect(letters.length).toBeGreaterThan(5);
  for (const [name, content] of letters) expect(content.toString('utf8'), name).toMatch(/^Subject: /m);
});

it.each<[string, (zip: ZipFile) => void, RegExp]>([
  ['no zip', () => undefined, /end of central directory|no archive that can be read/i],
  ['no head', (zip) => zip.addBuffer(Buffer.from('x'), 'a.txt'), /It is not whole: business.json is missing/],
  [
    'a head of something else',
    (zip) => zip.addBuffer(Buffer.from('{"form":"x"}'), 'business.json'),
    /of no archive of ours/,
  ],
  [
    'a head that is none',
    (zip) => zip.addBuffer(Buffer.from('{'), 'business.json'),
    /business.json cannot be read/,
  ],
  [
    'another version',
    (zip) => {
      const head = JSON.parse(archive.get('business.json')!.toString('utf8')) as object;
      zip.addBuffer(Buffer.from(JSON.stringify({ ...head, schema: '9999' })), 'business.json');
    },
    /another version of Fair Quill/,
  ],
])('%s is refused in words', async (name, fill, message) => {
  const zip = new ZipFile();
  fill(zip);
  zip.end();
  if (name === 'no zip') await writeFile(file('wrong.zip'), 'no zip');
  else await pipeline(zip.outputStream, createWriteStream(file('wrong.zip')));
  await expect(bringBack(to!, file('wrong.zip'), 'second')).rejects.toThrow(message);
  await expect(bringBack(to!, file('wrong.zip'), 'second')).rejects.toBeInstanceOf(NoArchive);
});

it('whoever made the empty business stays in it, though no member has their address', async () => {
  const third = await temporaryDatabase();
  const database = openDatabase(third.url, { across: true });
  try {
    await makeEmpty(database, { email: 'somebody@post.example' });
    await bringBack(database, file('all.zip'));
    const members = (await database.acrossBusinesses(() =>
      database.models.member.findAll({
        where: { business_id: EMPTY },
        attributes: ['key', 'email', 'password_hash'],
        raw: true,
      }),
    )) as unknown as { key: string; email: string; password_hash: string }[];
    expect(members).toContainEqual({
      key: 'imke-here',
      email: 'somebody@post.example',
      password_hash: 'theirs',
    });
    expect(members.find(({ key }) => key === 'imke')).toMatchObject({ password_hash: 'none' });
  } finally {
    await database.close();
    await third.drop();
  }
});

it('one that is not whole changes nothing', async () => {
  const third = await temporaryDatabase();
  const database = openDatabase(third.url, { across: true });
  try {
    await makeEmpty(database);
    const before = await everything(database, EMPTY);
    const zip = new ZipFile();
    for (const [name, content] of archive)
      zip.addBuffer(
        name === 'tables/booking.jsonl'
          ? content.subarray(0, content.lastIndexOf('\n', content.length - 2) + 1)
          : content,
        name,
      );
    zip.end();
    await pipeline(zip.outputStream, createWriteStream(file('cut.zip')));
    await expect(bringBack(database, file('cut.zip'))).rejects.toThrow(
      /It is not whole: of \d+ rows in tables\/booking.jsonl \d+ are there/,
    );
    expect(await everything(database, EMPTY)).toEqual(before);
    expect((await readFile(file('cut.zip'))).length).toBeGreaterThan(1000);
  } finally {
    await database.close();
    await third.drop();
  }
});

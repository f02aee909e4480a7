import { QueryTypes } from 'sequelize';
import sharp from 'sharp';
import { beforeAll, describe, expect, it } from 'vitest';
import type { FileOwner } from '../../core/contract/recordFiles';
import { MOST_OF_ONE } from '../../core/files/limits';
import { sweepRemoved } from '../../data/repositories/files/sweepRemoved';
import { now } from '../clock';
import { keepRecord, recordFacts } from '../records/keepRecord';
import { itemPage, recordPage } from '../records/recordPage';
import { removeRecord } from '../records/removeRecord';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { bringRecordFile, changeRecordFile, recordFile, recordFiles } from './recordFiles';

const ground = demonstrationDatabase();
const VISIT: FileOwner = { kind: 'booking', key: 'b-hartigan' };
const PDF = Buffer.from('%PDF-1.7 a sketch');
const NONE = '00000000-0000-4000-8000-000000000000';

let lying: Buffer;
beforeAll(async () => {
  lying = await sharp({ create: { width: 3000, height: 1500, channels: 3, background: '#888' } })
    .jpeg()
    .withExif({ IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
    .withMetadata({ orientation: 6 })
    .toBuffer();
});

async function bring(owner: FileOwner, name: string, content: Buffer) {
  const answer = await bringRecordFile(imke, owner, name, content);
  if (answer.result !== 'done') throw new Error(answer.error);
  return answer.file;
}
const named = async (owner: FileOwner) => (await recordFiles(imke, owner))!.files.map(({ name }) => name);

async function asked<Row extends object>(query: string): Promise<Row[]> {
  return ground.database.sequelize.query<Row>(query, { type: QueryTypes.SELECT });
}
const content = async (sha256: string) =>
  (await asked<{ content: Buffer }>(`select content from file where sha256 = '${sha256}'`))[0]?.content;

describe('a file of a record', () => {
  it('that is a photograph is turned, scaled, without its place, and seen small', async () => {
    const { name, picture, preview, size, day } = await bring(VISIT, 'IMG_1.JPEG', lying);
    expect(name).toBe('IMG_1.JPEG');
    expect(day).toMatch(/^today at /);
    const kept = (await content(picture!))!;
    expect(kept.length).toBe(size);
    const { width, height, exif, orientation } = await sharp(kept).metadata();
    expect({ width, height, exif, orientation }).toEqual({
      width: 1200,
      height: 2400,
      exif: undefined,
      orientation: undefined,
    });
    expect(await sharp((await content(preview!))!).metadata()).toMatchObject({ width: 160, height: 320 });
  });

  it('is told by its content: a picture that mail does not show becomes one that it does', async () => {
    const webp = await sharp({ create: { width: 40, height: 40, channels: 3, background: '#345' } })
      .webp()
      .toBuffer();
    expect(await bring(VISIT, 'Strings.webp', webp)).toMatchObject({ name: 'Strings.jpg' });
    expect(await bring(VISIT, 'Without an ending', lying.subarray(0))).toMatchObject({ name: 'IMG_1.JPEG' });
    expect((await bring(VISIT, 'Sketch.pdf', PDF)).picture).toBeUndefined();
  });

  it('is there once, and another of its name beside it', async () => {
    const before = (await named(VISIT)).length;
    expect(await bringRecordFile(imke, VISIT, 'Other name.pdf', PDF)).toMatchObject({
      result: 'done',
      note: 'It is there already, as “Sketch.pdf”.',
    });
    expect(await named(VISIT)).toHaveLength(before);
    expect(await bring(VISIT, 'sketch.PDF', Buffer.from('%PDF-1.7 another'))).toMatchObject({
      name: 'sketch 2.pdf',
    });
    const both = await Promise.all(
      [1, 2].map((n) => bring({ kind: 'client', key: 'calder' }, 'Note.txt', Buffer.from(`${n}`))),
    );
    expect(both.map(({ name }) => name).sort()).toEqual(['Note 2.txt', 'Note.txt']);
  });

  it.each([
    [
      'Tool.txt',
      Buffer.from('MZ\0\0\u0001 a program'),
      'Mail servers turn letters away that have a file ending in “.exe”.',
    ],
    ['Sketch.pdf', Buffer.from('<html>'), 'It is no PDF, though its name says so.'],
    ['Photo.jpg', PDF, 'It is no JPEG picture, though its name says so.'],
    [
      'Torn.jpg',
      Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16]),
      'This picture is damaged and cannot be opened.',
    ],
    ['Empty.txt', Buffer.alloc(0), 'There is nothing in it.'],
    ['', PDF, 'It has no name.'],
    ['Large.txt', Buffer.alloc(15_000_001, 'x'), 'It has 15 MB. A letter has at most 15 MB with it.'],
  ])('called “%s” is refused in words', async (name, given, error) => {
    expect(await bringRecordFile(imke, VISIT, name, given)).toEqual({ result: 'wrong', error });
  });

  it('that is a drawing stays as it is, and is never shown as a picture', async () => {
    const drawing = Buffer.concat([Buffer.from('AC1032'), Buffer.alloc(40)]);
    const { id, picture: shown } = await bring(VISIT, 'Plan.dwg', drawing);
    expect(shown).toBeUndefined();
    expect((await recordFile(imke, id))!.content).toEqual(drawing);
    expect(
      await asked(
        "select from file where media_type like 'image/%' and media_type not in ('image/png', 'image/jpeg')",
      ),
    ).toEqual([]);
    const heic = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic'), Buffer.alloc(64)]);
    expect(await bringRecordFile(imke, VISIT, 'IMG_2.HEIC', heic)).toMatchObject({
      result: 'wrong',
      error: 'This is a HEIC photograph, which mail does not show. Save it as JPEG first.',
    });
  });

  it('that begins like a program and is plain text is kept', async () => {
    expect(await bring(VISIT, 'Minutes.txt', Buffer.from('MZ was there.'))).toMatchObject({
      name: 'Minutes.txt',
    });
  });

  it('is not kept where there is no such record, and is nobody else’s', async () => {
    expect(await bringRecordFile(imke, { kind: 'project', key: 'none' }, 'a.txt', PDF)).toMatchObject({
      result: 'gone',
    });
    const { id } = await bring(VISIT, 'Ours.txt', Buffer.from('ours'));
    const other = { ...imke, business_id: '00000000-0000-8000-8000-00000000000f' };
    expect(await recordFile(other, id)).toBeUndefined();
    expect(await changeRecordFile(other, id, { removed: true })).toMatchObject({ result: 'gone' });
    expect((await recordFile(imke, id))!.content.toString()).toBe('ours');
  });

  it('is called otherwise, but for its ending; removed; put back', async () => {
    const { id } = await bring(VISIT, 'Plan.txt', Buffer.from('plan'));
    expect(await changeRecordFile(imke, id, { name: ' The  plan ' })).toEqual({
      result: 'done',
      name: 'The plan.txt',
    });
    expect(await changeRecordFile(imke, id, { name: 'Minutes.txt' })).toEqual({
      result: 'done',
      name: 'Minutes 2.txt',
    });
    expect(await changeRecordFile(imke, id, { name: ' ' })).toMatchObject({ result: 'wrong', field: 'name' });
    expect(await changeRecordFile(imke, NONE, { name: 'x' })).toMatchObject({ result: 'gone' });
    await changeRecordFile(imke, id, { removed: true });
    expect(await named(VISIT)).not.toContain('Minutes 2.txt');
    expect(await recordFile(imke, id)).toBeUndefined();
    await changeRecordFile(imke, id, { removed: false });
    expect(await named(VISIT)).toContain('Minutes 2.txt');
  });

  it('stands at its record alone, and what a thing had stays with its client', async () => {
    const facts = (await recordFacts(imke, 'client', 'hartigan'))! as {
      version: number;
      items: { key: string; name: string }[];
    };
    const client: FileOwner = { kind: 'client', key: 'hartigan' };
    expect(
      await keepRecord(imke, 'client', 'hartigan', {
        ...facts,
        items: [...facts.items, { name: 'Harmonium' }],
      } as never),
    ).toMatchObject({ result: 'kept' });
    const item: FileOwner = { kind: 'item', key: 'harmonium', client: 'hartigan' };
    await bring(item, 'Reeds.txt', Buffer.from('reeds'));
    expect((await itemPage(imke, 'hartigan', 'harmonium'))!.files.files).toHaveLength(1);
    expect(await itemPage(imke, 'calder', 'harmonium')).toBeUndefined();
    expect(await named(client)).toEqual([]);
    expect((await recordPage(imke, { kind: 'client', key: 'hartigan' }))!.files!.files).toEqual([]);
    const now = (await recordFacts(imke, 'client', 'hartigan'))!;
    expect(
      await keepRecord(imke, 'client', 'hartigan', { ...now, items: facts.items } as never),
    ).toMatchObject({ result: 'kept' });
    expect(await named(client)).toEqual(['Reeds.txt']);
  });

  it('has no room when there are too many', async () => {
    await ground.database.sequelize.query(
      `insert into record_file (business_id, id, client_id, name, sha256, size, brought_at)
       select one.business_id, gen_random_uuid(), client.id, 'File ' || n, sha256, size, now()
       from (select * from record_file where name = 'Note.txt') one join client on client.key = 'quist' and client.business_id = one.business_id,
         generate_series(1, ${MOST_OF_ONE}) n`,
    );
    expect(
      await bringRecordFile(imke, { kind: 'client', key: 'quist' }, 'One more.txt', Buffer.from('more')),
    ).toEqual({
      result: 'wrong',
      error: 'There are 200 files already, and no more can be kept here.',
    });
  });

  it('is swept away with its content a day after, unless something else has it', async () => {
    const owner: FileOwner = { kind: 'client', key: 'reyes' };
    const shared = await bring(owner, 'Shared.txt', Buffer.from('shared'));
    await bring(VISIT, 'Shared.txt', Buffer.from('shared'));
    const alone = await bring(owner, 'Alone.jpg', await sharp(lying).resize(90).jpeg().toBuffer());
    const room = async () => Number((await asked<{ used: string }>('select used from file_room'))[0]!.used);
    const summed = async () => Number((await asked<{ sum: string }>('select sum(size) from file'))[0]!.sum);
    expect(await room()).toBe(await summed());
    for (const { id } of [shared, alone]) await changeRecordFile(imke, id, { removed: true });
    const later = (days: number) => new Date(now() + days * 86_400_000);
    const sweep = (files: Date, records = new Date(0)) =>
      ground.database.acrossBusinesses(() =>
        sweepRemoved(ground.database, { files, records, letters: new Date(0) }),
      );
    await sweep(later(-1));
    expect(await content(alone.picture!)).toBeDefined();
    await sweep(later(1));
    expect(await content(alone.picture!)).toBeUndefined();
    expect(await content(alone.preview!)).toBeUndefined();
    expect(await changeRecordFile(imke, alone.id, { removed: false })).toMatchObject({ result: 'gone' });
    expect((await asked(`select from file where content = 'shared'`)).length).toBe(1);
    expect(await room()).toBe(await summed());

    // With a record that was removed they stay as long as it can be put back.
    const { version } = (await recordFacts(imke, 'booking', VISIT.key))!;
    const picture = (await recordFiles(imke, VISIT))!.files[0]!.picture!;
    expect(await removeRecord(imke, 'booking', VISIT.key, version)).toHaveProperty('removed');
    await sweep(later(1));
    expect(await content(picture)).toBeDefined();
    await sweep(later(1), later(1));
    expect(await content(picture)).toBeUndefined();
    expect(await room()).toBe(await summed());
  });
});

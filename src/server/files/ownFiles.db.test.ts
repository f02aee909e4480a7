import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { MOST_FILES } from '../../core/files/limits';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { NotAllowed } from '../signIn/rights';
import { wordsFacts } from '../templates/wordsContext';
import { filesAlong } from '../../core/writing/goesAlong';
import { bringOwnFile, changeOwnFile, listOwnFiles, ownFile } from './ownFiles';
import { picture } from './picture';

const ground = demonstrationDatabase();
const PDF = Buffer.from('%PDF-1.7 prices');
const NEWER = Buffer.from('%PDF-1.7 dearer');
const names = async () => (await wordsFacts(imke)).files.map(({ name }) => name);
const held = async (name: string) => (await ownFile(imke, name))?.content.toString();

describe('a file of the business’s own', () => {
  it('is kept once under its name, whatever its case', async () => {
    const kept = { result: 'done', name: 'Price list.pdf', size: PDF.length };
    expect(await bringOwnFile(imke, 'Price list.pdf', PDF)).toEqual(kept);
    expect(await bringOwnFile(imke, 'PRICE LIST.PDF', PDF)).toEqual(kept);
    expect((await wordsFacts(imke)).files).toEqual([{ name: 'Price list.pdf', size: PDF.length }]);
    expect(await held('price list.pdf')).toBe('%PDF-1.7 prices');
    expect(await held('None.pdf')).toBeUndefined();
  });

  it('is not written over by another of its name unless it is said which one', async () => {
    const taken = await bringOwnFile(imke, 'Price list.pdf', NEWER);
    expect(taken).toMatchObject({
      result: 'taken',
      error: expect.stringContaining('There is another “Price list.pdf”, brought in today at'),
    });
    const { sha256 } = taken as { sha256: string };
    expect(await held('Price list.pdf')).toBe('%PDF-1.7 prices');
    expect(await bringOwnFile(imke, 'Price list.pdf', NEWER, 'beside')).toMatchObject({
      result: 'done',
      name: 'Price list 2.pdf',
    });
    expect(await bringOwnFile(imke, 'Price list.pdf', NEWER, 'beside')).toMatchObject({
      name: 'Price list 2.pdf',
    });
    expect(await bringOwnFile(imke, 'Price list.pdf', NEWER, sha256)).toMatchObject({ result: 'done' });
    expect(await held('Price list.pdf')).toBe('%PDF-1.7 dearer');
    // Whoever looked at the one before does not write over the one that has come since.
    expect(await bringOwnFile(imke, 'Price list.pdf', PDF, sha256)).toMatchObject({ result: 'taken' });
    expect(await names()).toEqual(['Price list 2.pdf', 'Price list.pdf']);
  });

  it('is replaced by whoever may change what everyone writes with', async () => {
    const teo = { ...imke, changesShared: false };
    const taken = (await bringOwnFile(teo, 'Price list.pdf', PDF)) as { sha256: string };
    await expect(bringOwnFile(teo, 'Price list.pdf', PDF, taken.sha256)).rejects.toThrow(NotAllowed);
    expect(await bringOwnFile(teo, 'Mine.txt', Buffer.from('x'))).toMatchObject({ result: 'done' });
  });

  it('comes in once when two bring it in at once', async () => {
    const both = await Promise.all([
      bringOwnFile(imke, 'At once.txt', Buffer.from('a')),
      bringOwnFile(imke, 'At once.txt', Buffer.from('b')),
    ]);
    expect(both.map(({ result }) => result).sort()).toEqual(['done', 'taken']);
  });

  it('that is a picture is turned and scaled, is without its place, and is seen small', async () => {
    const lying = await sharp({ create: { width: 3000, height: 1500, channels: 3, background: '#777' } })
      .jpeg()
      .withExif({ IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
      .withMetadata({ orientation: 6 })
      .toBuffer();
    expect(await bringOwnFile(imke, 'The house.jpg', lying)).toMatchObject({ result: 'done' });
    const { width, height, exif } = await sharp((await ownFile(imke, 'The house.jpg'))!.content).metadata();
    expect({ width, height, exif }).toEqual({ width: 1200, height: 2400, exif: undefined });
    const listed = (await listOwnFiles(imke)).find(({ name }) => name === 'The house.jpg')!;
    const { content } = (await picture(imke, listed.preview!))!;
    expect(await sharp(content).metadata()).toMatchObject({ width: 160, height: 320 });
    expect((await listOwnFiles(imke)).find(({ name }) => name.endsWith('.txt'))).not.toHaveProperty(
      'picture',
    );
  });

  it.each([
    ['', PDF, 'It has no name.'],
    ['Empty.pdf', Buffer.alloc(0), 'There is nothing in it.'],
    ['setup.EXE', PDF, 'Mail servers turn letters away that have a file ending in “.exe”.'],
    ['Prices.pdf', Buffer.from('<html>'), 'It is no PDF, though its name says so.'],
    ['Photo.jpg', PDF, 'It is no JPEG picture, though its name says so.'],
    ['Prices.docx', PDF, 'It is no .docx document, though its name says so.'],
  ])('is none when it is called “%s” and is not that', async (name, content, error) => {
    expect(await bringOwnFile(imke, name, content)).toEqual({ result: 'wrong', error });
  });

  it('is called otherwise and found by what it was called; removed, put back, and told with its templates', async () => {
    const listed = async (name: string) => (await listOwnFiles(imke)).find((file) => file.name === name);
    const { id } = (await listed('Price list.pdf'))!;
    expect(await changeOwnFile(imke, id, { name: 'Tariff' })).toEqual({ result: 'done', name: 'Tariff.pdf' });
    expect(await listed('Tariff.pdf')).toMatchObject({ formerly: ['Price list.pdf'], templates: [] });
    const { files } = await wordsFacts(imke);
    expect(filesAlong({ attach: ['price list.pdf', 'Tariff.pdf'] }, files)).toEqual([
      { id: 'Tariff.pdf', name: 'Tariff.pdf', size: expect.any(Number), formerly: 'price list.pdf' },
    ]);
    expect(await changeOwnFile(imke, id, { name: 'price list 2.PDF' })).toEqual({
      result: 'taken',
      error: 'There is another file called “price list 2.PDF”.',
      field: 'name',
    });
    expect(await changeOwnFile(imke, id, { removed: true })).toMatchObject({ result: 'done' });
    expect(await held('Tariff.pdf')).toBeUndefined();
    expect(await names()).not.toContain('Tariff.pdf');
    // Another takes its name meanwhile: both are not there under it.
    await bringOwnFile(imke, 'Tariff.pdf', PDF);
    expect(await changeOwnFile(imke, id, { removed: false })).toMatchObject({
      result: 'taken',
      error: 'Another file has its name by now. Call that one something else first.',
    });
    const other = (await listed('Tariff.pdf'))!;
    await changeOwnFile(imke, other.id, { name: 'Other' });
    expect(await changeOwnFile(imke, id, { removed: false })).toEqual({ result: 'done', name: 'Tariff.pdf' });
    expect(await changeOwnFile(imke, other.id, { name: 'tariff' })).toMatchObject({ result: 'taken' });
    await expect(changeOwnFile({ ...imke, changesShared: false }, id, { removed: true })).rejects.toThrow(
      NotAllowed,
    );
    expect(await changeOwnFile(imke, id, { name: 'Price list' })).toMatchObject({ name: 'Price list.pdf' });
  });

  it('is another business’s where the other has it', async () => {
    const other = { ...imke, business_id: '00000000-0000-8000-8000-00000000000f' };
    expect(await ownFile(other, 'Price list.pdf')).toBeUndefined();
  });

  it('has no room when there are too many', async () => {
    const [{ business_id }] = [imke];
    await ground.database.sequelize.query(
      `insert into own_file (business_id, id, name, sha256, size, brought_at)
       select business_id, gen_random_uuid(), 'File ' || n, sha256, size, now()
       from (select * from own_file where business_id = '${business_id}' limit 1) one, generate_series(1, ${MOST_FILES}) n`,
    );
    expect(await bringOwnFile(imke, 'One more.txt', Buffer.from('c'))).toEqual({
      result: 'wrong',
      error: 'There are 1000 files already, and no more can be kept.',
    });
  });
});

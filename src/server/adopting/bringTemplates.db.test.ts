import { QueryTypes } from 'sequelize';
import { buffer } from 'node:stream/consumers';
import { describe, expect, it } from 'vitest';
import type { ReadTemplates, ToBring } from '../../core/contract/bringTemplates';
import { TEMPLATE_FORMS } from '../../core/contract/templates';
import { inNames } from '../../core/template/naming';
import { printTemplate } from '../../core/template/text/printTemplate';
import { sharedWords } from '../../data/repositories/templates/sharedWords';
import { standingVersions, templatesByKey } from '../../data/repositories/templates/templatesOfBusiness';
import { forMember } from '../forMember';
import { connection } from '../connection';
import { templateFile, templateFiles } from '../templates/templateFiles';
import { throwAway } from '../templates/trash';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { bringAway, bringTemplates } from './bringTemplates';
import { meantNames } from './meantNames';
import { readTemplates } from './readTemplates';

const ground = demonstrationDatabase();

/** The text forms of all templates, by their names. */
const standing = forMember(async ({ business_id, id }: typeof imke) => {
  const database = connection();
  const keys = (await standingVersions(database, business_id, id)).map(({ key }) => key);
  const shared = await sharedWords(database, business_id);
  const found = await templatesByKey(database, business_id, id, keys);
  return new Map(
    found.map(({ key, head, document }) => [
      head.name,
      { key, text: printTemplate(inNames({ head, document }, shared)) },
    ]),
  );
});

const allOf = async (form: (typeof TEMPLATE_FORMS)[number]): Promise<ReadTemplates> =>
  readTemplates(imke, 'all.zip', await buffer((await templateFiles(imke, form)).content));

const asked = (texts: readonly string[], more: Partial<ToBring> = {}): ToBring => ({
  templates: texts.map((text) => ({ text, instead: undefined })),
  passages: [],
  names: [],
  ...more,
});

const ownTexts = ({ templates }: ReadTemplates) => templates.map((one) => ('own' in one ? one.own : ''));

const template = (name: string, body: string, head = '') =>
  `---\nname: ${name}\ngroup: none\nstarts from: client\nsubject: S\n${head}---\n${body}\n`;

describe('templates go out and come in again as they were', () => {
  it.each(TEMPLATE_FORMS)('all of them, as %s', async (form) => {
    const read = await allOf(form);
    const there = await standing(imke);
    expect(read.left).toEqual([]);
    expect(there.size).toBeGreaterThan(20);
    expect(ownTexts(read).sort()).toEqual([...there.values()].map(({ text }) => text).sort());
    expect(read.templates.flatMap(({ besides }) => besides)).toEqual([]);
    expect(read.passages).toHaveLength(2);
  });

  it.each(TEMPLATE_FORMS)('one of them, as %s', async (form) => {
    const [[, { key, text }]] = [...(await standing(imke))] as [[string, { key: string; text: string }]];
    const file = (await templateFile(imke, key, form))!;
    expect(ownTexts(await readTemplates(imke, file.name, file.content))).toEqual([text]);
    expect(await templateFile(imke, 'no-such-one', form)).toBeUndefined();
  });

  it('one that was thrown away comes back under its group, and goes again', async () => {
    const before = await standing(imke);
    const { key, text } = before.get('How the work is going')!;
    const read = await allOf('text');
    expect((await throwAway(imke, key)).result).toBe('done');
    expect((await standing(imke)).has('How the work is going')).toBe(false);
    const answer = await bringTemplates(imke, asked(ownTexts(read).filter((one) => one === text)));
    expect(answer).toMatchObject({
      result: 'done',
      templates: [{ name: 'How the work is going', isNew: true }],
    });
    expect((await standing(imke)).get('How the work is going')!.text).toBe(text);
    await bringAway(imke, answer.result === 'done' ? answer.templates.map((one) => one.key) : []);
    expect((await standing(imke)).has('How the work is going')).toBe(false);
  });

  it('into a business that has none of them, no groups and no passages', async () => {
    const before = await standing(imke);
    const read = await allOf('json');
    const { sequelize } = ground.database;
    await sequelize.query('update template set deleted_at = now(), group_id = null');
    await sequelize.query('update template set name = key');
    await sequelize.query('delete from passage');
    await sequelize.query('delete from template_group');
    const answer = await bringTemplates(
      imke,
      asked(ownTexts(read), { passages: read.passages.map(({ name, text }) => ({ name, text })) }),
    );
    expect(answer).toMatchObject({ result: 'done', passages: read.passages.length });
    const after = await standing(imke);
    expect([...after].map(([name, { text }]) => [name, text]).sort()).toEqual(
      [...before].map(([name, { text }]) => [name, text]).sort(),
    );
    const [{ groups }] = (await sequelize.query<{ groups: number }>(
      'select count(*)::int as groups from template_group',
      { type: QueryTypes.SELECT },
    )) as [{ groups: number }];
    expect(groups).toBeGreaterThan(3);
  });
});

describe('templates from elsewhere', () => {
  it('what their names mean is kept, and what was said last counts', async () => {
    const names = [
      { name: 'the day', meant: '{{booking.starts_at | long date}}' },
      { name: 'wifi', meant: 'words' },
    ];
    await bringTemplates(imke, asked([], { names }));
    await bringTemplates(imke, asked([], { names: [{ name: 'wifi', meant: 'gap' }] }));
    expect((await meantNames(imke)).sort((a, b) => a.name.localeCompare(b.name))).toEqual([
      names[0],
      { name: 'wifi', meant: 'gap' },
    ]);
    const stranger = { ...imke, business_id: '00000000-0000-4000-8000-000000000001' };
    expect(await meantNames(stranger)).toEqual([]);
  });

  it('nothing comes in where one of them cannot: it is said which, and why', async () => {
    const before = (await standing(imke)).size;
    const answer = await bringTemplates(
      imke,
      asked([template('Fine', 'Hello'), template('Not so', 'Hello {{client.shoe_size}}')], {
        names: [{ name: 'never', meant: 'gap' }],
      }),
    );
    expect(answer).toMatchObject({ result: 'wrong', problems: [{ name: 'Not so' }] });
    const twice = await bringTemplates(imke, asked([template('Twice', 'a'), template('twice', 'b')]));
    expect(twice).toMatchObject({
      result: 'wrong',
      problems: [{ name: 'twice', error: 'There is another template called “twice”.' }],
    });
    expect((await standing(imke)).size).toBe(before);
    expect((await meantNames(imke)).map(({ name }) => name)).not.toContain('never');
  });

  it('one takes the place of another as a version of it; not where that was changed meanwhile', async () => {
    const made = await bringTemplates(imke, asked([template('To be reworded', 'one')]));
    const key = made.result === 'done' ? made.templates[0]!.key : '';
    const instead = { key, version: 1 };
    const text = template('To be reworded', 'two');
    expect(await bringTemplates(imke, { ...asked([]), templates: [{ text, instead }] })).toMatchObject({
      result: 'done',
      templates: [{ key, isNew: false }],
    });
    expect((await standing(imke)).get('To be reworded')!.text).toBe(text);
    expect(await bringTemplates(imke, { ...asked([]), templates: [{ text, instead }] })).toMatchObject({
      result: 'wrong',
      problems: [{ error: expect.stringContaining('has changed') as string }],
    });
  });

  it('who may not change what is shared brings in for themselves', async () => {
    const { id } = imke;
    const runa = { ...imke, id, role: 'member' as const, changesShared: false };
    const answer = await bringTemplates(
      runa,
      asked([template('Hers', 'Hello')], { passages: [{ name: 'P', text: 'x' }] }),
    );
    expect(answer).toMatchObject({ result: 'done', passages: 0 });
    expect((await standing(runa)).get('Hers')!.text).toContain('mine: yes');
  });
});

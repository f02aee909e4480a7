import { QueryTypes } from 'sequelize';
import { describe, expect, it } from 'vitest';
import { inNames } from '../../core/template/naming';
import { printTemplate } from '../../core/template/text/printTemplate';
import { stableId } from '../../data/stableId';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { arrangeTemplates } from './arrangeTemplates';
import { arrangeGroups, changeGroup, makeGroup, removeGroup } from './changeGroups';
import { keepTemplate } from './keepTemplate';
import { copyTemplate, makeTemplate } from './makeTemplate';
import { templateInPencil } from './templateInPencil';
import { templatesByGroup } from './templatesByGroup';
import { bringBack, compareWithStanding, versionsOfTemplate } from './versions';
import { wordsFacts } from './wordsContext';
import { putBack, throwAway, trash, usesOfTemplate } from './trash';

const ground = demonstrationDatabase();
const teo = { ...imke, id: stableId('member', 'teo'), key: 'teo' };

const groupNames = async () => (await templatesByGroup(imke)).map(({ name }) => name);
const namesIn = async (group: string) =>
  (await templatesByGroup(imke)).find(({ name }) => name === group)?.templates.map(({ name }) => name);
const keysIn = async (group: string) =>
  (await templatesByGroup(imke)).find(({ name }) => name === group)!.templates.map(({ key }) => key);

async function textOf(key: string): Promise<{ version: number; text: string }> {
  const template = (await templateInPencil(imke, key))!;
  return { version: template.version, text: printTemplate(inNames(template, await wordsFacts(imke))) };
}

describe('groups', () => {
  it('are made by a name alone, with a look of their own', async () => {
    expect(await makeGroup(imke, { name: ' Moving house ' })).toMatchObject({
      result: 'done',
      key: 'moving-house',
    });
    const made = (await templatesByGroup(imke)).at(-1)!;
    expect(made).toMatchObject({ name: 'Moving house', initial: 'Mo', templates: [] });
    expect(await makeGroup(imke, { name: 'moving HOUSE' })).toMatchObject({ result: 'taken', field: 'name' });
    // Another that would have the same key has one of its own.
    expect(await makeGroup(imke, { name: 'Moving, house?' })).toMatchObject({
      result: 'done',
      key: 'moving-house-2',
    });
    await removeGroup(imke, 'moving-house-2', { version: 1, to: null });
  });

  it('are called otherwise, and the later of two writers is told', async () => {
    const change = { name: 'Money matters', initial: '£', tint: 'iris' } as const;
    expect(await changeGroup(imke, 'money', { ...change, version: 1 })).toMatchObject({ result: 'done' });
    expect(await changeGroup(imke, 'money', { ...change, name: 'Bills', version: 1 })).toMatchObject({
      result: 'overtaken',
    });
    expect(await changeGroup(imke, 'money', { ...change, name: 'visits', version: 2 })).toMatchObject({
      result: 'taken',
    });
    expect(await changeGroup(imke, 'none', { ...change, version: 1 })).toMatchObject({ result: 'gone' });
    expect(await groupNames()).toContain('Money matters');
    // What is in it says so in its text, and can be kept.
    const { version, text } = await textOf('first-reminder');
    expect(text).toContain('group: Money matters\n');
    expect(await keepTemplate(imke, 'first-reminder', version, text)).toMatchObject({
      result: 'kept',
    });
    expect(await namesIn('Money matters')).toContain('First reminder');
  });

  it('stand in an order; those that are not named stand behind', async () => {
    await arrangeGroups(imke, ['everyday', 'visits', 'no-such-group']);
    expect((await groupNames()).slice(0, 3)).toEqual(['Everyday', 'Visits', 'Enquiries']);
  });

  it('are removed, and what stood in them goes where it is told to', async () => {
    const visits = await namesIn('Visits');
    const workshop = await namesIn('Workshop');
    expect(await removeGroup(imke, 'workshop', { version: 7, to: 'visits' })).toMatchObject({
      result: 'overtaken',
    });
    expect(await removeGroup(imke, 'workshop', { version: 1, to: 'no-such-group' })).toMatchObject({
      result: 'gone',
    });
    expect(await namesIn('Workshop')).toEqual(workshop);
    expect(await removeGroup(imke, 'workshop', { version: 1, to: 'visits' })).toMatchObject({
      result: 'done',
    });
    expect(await namesIn('Visits')).toEqual([...visits!, ...workshop!]);
    expect(await removeGroup(imke, 'afterwards', { version: 1, to: null })).toMatchObject({ result: 'done' });
    expect(await namesIn('Without a group')).toHaveLength(2);
    const [loose] = await keysIn('Without a group');
    const { version, text } = await textOf(loose!);
    expect(await keepTemplate(imke, loose!, version, text)).toMatchObject({
      result: 'kept',
    });
    expect(await namesIn('Without a group')).toHaveLength(2);
  });
});

describe('templates', () => {
  it('are moved between groups and within them, and back', async () => {
    const before = await Promise.all(
      ['visits', 'enquiries'].map(async (group) => ({
        group,
        templates: await keysIn(group === 'visits' ? 'Visits' : 'Enquiries'),
      })),
    );
    const [visits, enquiries] = before.map(({ templates }) => templates);
    const [moved] = visits!;
    await arrangeTemplates(imke, [
      { group: 'enquiries', templates: [enquiries![0]!, moved!, 'no-such-template'] },
      { group: 'visits', templates: [...visits!.slice(1)].reverse() },
    ]);
    expect(await keysIn('Enquiries')).toEqual([enquiries![0], moved, ...enquiries!.slice(1)]);
    expect(await keysIn('Visits')).toEqual(visits!.slice(1).reverse());
    await arrangeTemplates(imke, [{ group: 'no-such-group', templates: [moved!] }]);
    expect(await keysIn('Enquiries')).toContain(moved);
    await arrangeTemplates(imke, before);
    expect(await keysIn('Visits')).toEqual(visits);
    expect(await keysIn('Enquiries')).toEqual(enquiries);
  });

  it('of another member are not moved', async () => {
    await ground.database.sequelize.query(
      `update template set owner_id = '${teo.id}' where key = 'short-note'`,
    );
    await arrangeTemplates(imke, [{ group: 'enquiries', templates: ['short-note'] }]);
    expect(await throwAway(imke, 'short-note')).toMatchObject({ result: 'gone' });
    expect(await copyTemplate(imke, 'short-note')).toMatchObject({ result: 'gone' });
    expect(await usesOfTemplate(imke, 'short-note')).toBeUndefined();
    await ground.database.sequelize.query("update template set owner_id = null where key = 'short-note'");
    expect(await keysIn('Everyday')).toContain('short-note');
  });

  it('are made with the first words of a letter, which does not go as it is', async () => {
    const made = { name: ' Key cutting ', startsFrom: 'client', group: 'everyday' } as const;
    expect(await makeTemplate(imke, made)).toEqual({ result: 'done', key: 'key-cutting' });
    expect(await keysIn('Everyday')).toContain('key-cutting');
    const { problems, ...template } = (await templateInPencil(imke, 'key-cutting'))!;
    expect(problems).toEqual([]);
    expect(printTemplate(template)).toContain('{{gap "what you want to say"}}');
    expect(await makeTemplate(imke, made)).toMatchObject({ result: 'taken', field: 'name' });
    expect(await makeTemplate(imke, { ...made, name: 'Loose', group: null })).toMatchObject({
      result: 'done',
    });
    expect(await keysIn('Without a group')).toContain('loose');
  });

  it('are copied beside themselves, but not as the first of an act', async () => {
    expect(await copyTemplate(imke, 'visit-confirmed')).toEqual({
      result: 'done',
      key: 'visit-confirmed-copy',
    });
    expect(await copyTemplate(imke, 'visit-confirmed')).toEqual({
      result: 'done',
      key: 'visit-confirmed-copy-2',
    });
    expect(await keysIn('Visits')).toContain('visit-confirmed-copy');
    const [of, copy] = await Promise.all(
      ['visit-confirmed', 'visit-confirmed-copy'].map(async (key) => (await templateInPencil(imke, key))!),
    );
    expect(copy!.document).toEqual(of!.document);
    expect(copy!.head.name).toBe('Visit confirmed, copy');
    expect(copy!.head.action).toEqual(of!.head.action && { ...of!.head.action, first: false });
  });

  it('go into the trash with what depends on them said, and come back', async () => {
    expect(await usesOfTemplate(imke, 'visit-confirmed')).toEqual({
      letters: expect.any(Number),
      waiting: 0,
      stays: true,
      act: { name: 'visit confirmed', others: expect.arrayContaining(['Visit confirmed, copy']) },
    });
    const { letters } = (await usesOfTemplate(imke, 'first-reminder'))!;
    const [counted] = await ground.database.sequelize.query<{ count: number }>(
      `select count(*)::int from message join template on template.id = template_id
       where template.key = 'first-reminder' and status <> 'draft'`,
      { type: QueryTypes.SELECT },
    );
    expect(letters).toBe(counted!.count);
    expect(letters).toBeGreaterThan(0);
    const before = await keysIn('Visits');
    // What an act of the work relies on rests, and does not go; a copy of it is nobody's but its maker's.
    expect(await throwAway(imke, 'visit-confirmed')).toMatchObject({ result: 'used' });
    expect(await throwAway(imke, 'visit-confirmed-copy')).toMatchObject({ result: 'done' });
    expect(await throwAway(imke, 'visit-confirmed-copy')).toMatchObject({ result: 'gone' });
    expect(await trash(imke)).toMatchObject([{ key: 'visit-confirmed-copy', name: 'Visit confirmed, copy' }]);
    expect(await keysIn('Visits')).not.toContain('visit-confirmed-copy');
    expect(await putBack(imke, 'visit-confirmed-copy')).toMatchObject({ result: 'done' });
    expect(await keysIn('Visits')).toEqual(before);
    expect(await putBack(imke, 'visit-confirmed-copy')).toMatchObject({ result: 'gone' });
    // One that has lost its name meanwhile is told so, and stays.
    await throwAway(imke, 'key-cutting');
    await makeTemplate(imke, { name: 'Key cutting', startsFrom: 'client', group: null });
    expect(await putBack(imke, 'key-cutting')).toMatchObject({ result: 'taken' });
    expect((await trash(imke)).map(({ key }) => key)).toEqual(['key-cutting']);
  });
});

describe('versions', () => {
  it('are listed with who kept them, compared in words, and brought back as the next one', async () => {
    const { version, text } = await textOf('visit-coming-up');
    const changed = text.replace('expects you at the workshop', 'waits for you at the workshop');
    expect(changed).not.toBe(text);
    expect(await keepTemplate(imke, 'visit-coming-up', version, changed)).toMatchObject({ result: 'kept' });
    expect(await versionsOfTemplate(imke, 'visit-coming-up')).toMatchObject([
      { version: version + 1, by: 'Imke Sandoval' },
      { version },
    ]);
    const { head, words } = (await compareWithStanding(imke, 'visit-coming-up', version))!;
    expect(head).toEqual([]);
    const said = (change: string) =>
      words.flatMap((one) => (one.change === change ? one.tokens : [])).map((token) => token.words.trim());
    expect(said('went')).toEqual(['expects']);
    expect(said('came')).toEqual(['waits', 'for']);
    // Somebody who saw another one as the last is told.
    expect(await bringBack(imke, 'visit-coming-up', version, version)).toMatchObject({
      result: 'overtaken',
      version: version + 1,
    });
    expect(await bringBack(imke, 'visit-coming-up', version, version + 1)).toEqual({
      result: 'kept',
      version: version + 2,
    });
    expect((await textOf('visit-coming-up')).text).toBe(text);
    expect(await versionsOfTemplate(imke, 'visit-coming-up')).toHaveLength(3);
  });

  it('of what is not there are none', async () => {
    expect(await versionsOfTemplate(imke, 'none')).toBeUndefined();
    expect(await compareWithStanding(imke, 'visit-coming-up', 99)).toBeUndefined();
    expect(await bringBack(imke, 'visit-coming-up', 99, 3)).toEqual({ result: 'gone' });
  });

  it('keep what a template is called, and whose it is', async () => {
    const { version, text } = await textOf('annual-check');
    const renamed = text.replace('name: Annual check', 'name: Once a year');
    await keepTemplate(imke, 'annual-check', version, renamed);
    await bringBack(imke, 'annual-check', version, version + 1);
    expect((await textOf('annual-check')).text).toBe(renamed);
  });
});

import { describe, expect, it } from 'vitest';
import { stableId } from '../../data/stableId';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { keepTemplate } from './keepTemplate';
import { makeTemplate } from './makeTemplate';
import { keepPassage, listPassages, makePassage, passageToWrite, removePassage } from './passages';
import { templateInPencil } from './templateInPencil';

demonstrationDatabase();
const teo = { ...imke, id: stableId('member', 'teo'), key: 'teo' };

const keep = async (key: string, text: string, more = {}) => {
  const { version, name } = (await passageToWrite(imke, key))!;
  return keepPassage(imke, key, { version, name, text, group: null, startsFrom: 'invoice', ...more });
};

describe('a passage', () => {
  it('is changed in every template that has it', async () => {
    const { uses, text } = (await passageToWrite(imke, 'how-to-pay'))!;
    expect(uses.templates.map(({ key }) => key)).toContain('first-reminder');
    expect(await keep('how-to-pay', `${text}\nThank you.`)).toMatchObject({ result: 'done', version: 2 });
    const { passages } = (await templateInPencil(imke, 'first-reminder'))!;
    expect(JSON.stringify(passages.find(({ key }) => key === 'how-to-pay'))).toContain('Thank you.');
  });

  it('is called otherwise, and nothing that has it changes', async () => {
    const { text } = (await passageToWrite(imke, 'how-to-pay'))!;
    expect(await keep('how-to-pay', text, { name: ' Ways  to pay ' })).toMatchObject({ result: 'done' });
    const { passages, problems } = (await templateInPencil(imke, 'first-reminder'))!;
    expect(passages.find(({ key }) => key === 'how-to-pay')!.name).toBe('Ways to pay');
    expect(problems).toEqual([]);
    await makePassage(imke, 'Parking');
    expect(await keep('parking', 'Words.', { name: 'ways to pay', startsFrom: 'client' })).toMatchObject({
      result: 'done',
    });
    expect(await keep('parking', 'Words.', { name: 'Ways to pay' })).toMatchObject({
      result: 'taken',
      field: 'name',
    });
  });

  it('stands in a group as templates do', async () => {
    expect((await passageToWrite(imke, 'how-to-pay'))!.group).toBeNull();
    const { text } = (await passageToWrite(imke, 'how-to-pay'))!;
    expect(await keep('how-to-pay', text, { group: 'money' })).toMatchObject({ result: 'done' });
    const [listed] = (await listPassages(imke)).filter(({ key }) => key === 'how-to-pay');
    expect(listed!.group).toBe('money');
    expect(await keep('how-to-pay', text)).toMatchObject({ result: 'done' });
    expect((await passageToWrite(imke, 'how-to-pay'))!.group).toBeNull();
  });

  it('that a template could not be filled with is not kept; the words say which', async () => {
    const answer = await keep('how-to-pay', 'Answer {{enquiry.message}}.', { startsFrom: 'enquiry' });
    expect(answer).toMatchObject({ result: 'wrong' });
    expect(JSON.stringify(answer)).toContain('In “First reminder”: ');
    expect(await keep('how-to-pay', 'To {{nobody.name}}')).toMatchObject({ result: 'wrong' });
    // In itself it cannot stand.
    const { name } = (await passageToWrite(imke, 'how-to-pay'))!;
    expect(await keep('how-to-pay', `{{> ${name}}}`)).toMatchObject({ result: 'wrong' });
  });

  it('that somebody has changed meanwhile is not overwritten', async () => {
    const { version, name } = (await passageToWrite(imke, 'how-to-pay'))!;
    const mine = { version, name, text: 'Mine.', group: null, startsFrom: 'invoice' } as const;
    expect(await keepPassage(teo, 'how-to-pay', { ...mine, text: 'Theirs.' })).toMatchObject({
      result: 'done',
    });
    expect(await keepPassage(imke, 'how-to-pay', mine)).toMatchObject({ result: 'overtaken' });
    expect((await passageToWrite(imke, 'how-to-pay'))!.text).toContain('Theirs.');
    expect(await keepPassage(imke, 'no-such-passage', mine)).toMatchObject({ result: 'gone' });
  });

  it('goes when it stands nowhere; whose template of their own it stands in is not told', async () => {
    expect(await makePassage(imke, 'Where to park')).toEqual({
      result: 'done',
      key: 'where-to-park',
      version: 1,
    });
    expect(await makePassage(imke, 'Where to park')).toMatchObject({ result: 'taken' });
    await makeTemplate(teo, { name: 'Of my own', startsFrom: 'client', group: null });
    const text =
      '---\nname: Of my own\ngroup: none\nstarts from: client\nsubject: S\nmine: yes\n---\n{{> Where to park}}\n';
    expect(await keepTemplate(teo, 'of-my-own', 1, text)).toMatchObject({ result: 'refused' });
    expect(await keepTemplate(teo, 'of-my-own', 1, text.replace('mine: yes\n', ''))).toMatchObject({
      result: 'kept',
    });
    expect(await removePassage(imke, 'where-to-park', 1)).toMatchObject({
      result: 'used',
      error: 'It stands in one place. Take it out there first.',
    });
    expect(
      await keepTemplate(
        teo,
        'of-my-own',
        2,
        text.replace('mine: yes\n', '').replace('{{> Where to park}}', 'None.'),
      ),
    ).toMatchObject({
      result: 'kept',
    });
    expect(await removePassage(imke, 'where-to-park', 7)).toMatchObject({ result: 'overtaken' });
    expect(await removePassage(imke, 'where-to-park', 1)).toMatchObject({ result: 'done' });
    expect((await listPassages(imke)).map(({ key }) => key)).not.toContain('where-to-park');
    expect(await removePassage(imke, 'where-to-park', 1)).toMatchObject({ result: 'gone' });
  });
});

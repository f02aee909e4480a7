import { describe, expect, it } from 'vitest';
import { stableId } from '../../data/stableId';
import { inNames } from '../../core/template/naming';
import { printTemplate } from '../../core/template/text/printTemplate';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { keepTemplate } from './keepTemplate';
import {
  keepSignature,
  listSignatures,
  makeSignature,
  removeSignature,
  signatureToWrite,
} from './signatures';
import { templateInPencil } from './templateInPencil';
import { wordsFacts } from './wordsContext';

demonstrationDatabase();
const runa = { ...imke, id: stableId('member', 'runa'), key: 'runa', role: 'member' } as const;

const keep = async (key: string, more: object, by: typeof imke | typeof runa = imke) => {
  const { version, name, text, usual } = (await signatureToWrite(imke, key))!;
  return keepSignature(by, key, { version, name, text, usual, ...more });
};
const namesOf = async (member: typeof imke | typeof runa) =>
  (await listSignatures(member)).map(({ name, usual }) => (usual ? `${name}, usual` : name));

describe('a signature', () => {
  it('is the house’s, one’s own, or for an owner anybody’s', async () => {
    expect(await namesOf(imke)).toEqual([
      'House, usual',
      'Imke, usual',
      'Imke, in a few words',
      'Teo, on the road, usual',
    ]);
    expect(await namesOf(runa)).toEqual(['House, usual']);
    expect(await keep('imke', { text: 'Runa was here.' }, runa)).toMatchObject({ result: 'gone' });
    expect(await removeSignature(runa, 'imke', 1)).toMatchObject({ result: 'gone' });
  });

  it('is made; the first of a member is the usual one', async () => {
    expect(await makeSignature(runa, { name: ' Runa ', house: false })).toMatchObject({ key: 'runa' });
    expect(await makeSignature(runa, { name: 'Runa, short', house: false })).toMatchObject({
      result: 'done',
    });
    expect(await namesOf(runa)).toEqual(['House, usual', 'Runa, usual', 'Runa, short']);
    expect(await makeSignature(imke, { name: 'Runa', house: true })).toMatchObject({ field: 'name' });
  });

  it('that becomes the usual one takes the place of the other', async () => {
    expect(await keep('imke-in-a-few-words', { usual: true })).toMatchObject({ result: 'done', version: 2 });
    expect(await namesOf(imke)).toEqual(expect.arrayContaining(['Imke', 'Imke, in a few words, usual']));
    expect(await keep('imke', { usual: true })).toMatchObject({ result: 'done' });
    expect(await namesOf(imke)).toEqual(expect.arrayContaining(['Imke, usual', 'Imke, in a few words']));
  });

  it.each([
    ['- a list', 'A signature is lines, pictures and links.'],
    ['{{enquiry.message}}', 'enquiry'],
    ['{{? Rate}}', 'A blank is asked'],
    ['{{> How to pay}}', 'A passage cannot stand'],
    ['{{signature}}', 'in itself'],
    ['{{sender.nme}}', 'no field “nme”'],
  ])('with “%s” in it is not kept, and says why', async (text, why) => {
    const answer = await keep('house', { text });
    expect(answer).toMatchObject({ result: 'wrong' });
    expect(JSON.stringify(answer)).toContain(why);
  });

  it('that a template asks for is called otherwise, and not removed', async () => {
    const { version, text } = await textOf('first-reminder');
    const asking = text.replace('\n---\n', '\nsignature: Imke, in a few words\n---\n');
    expect(await keepTemplate(imke, 'first-reminder', version, asking)).toMatchObject({
      result: 'kept',
    });
    expect(await keep('imke-in-a-few-words', { name: 'Imke, brief' })).toMatchObject({ result: 'done' });
    expect((await textOf('first-reminder')).text).toContain('signature: Imke, brief');
    // What was written with its former name, a draft say, is kept all the same.
    const before = await textOf('first-reminder');
    const former = before.text.replace('Imke, brief', 'Imke, in a few words');
    expect(await keepTemplate(imke, 'first-reminder', before.version, former)).toMatchObject({
      result: 'kept',
    });
    expect((await textOf('first-reminder')).text).toBe(before.text);
    const asked = (await signatureToWrite(imke, 'imke-in-a-few-words'))!;
    expect(asked.templates.map(({ key }) => key)).toEqual(['first-reminder']);
    expect(await removeSignature(imke, 'imke-in-a-few-words', asked.version)).toMatchObject({
      result: 'used',
      error: 'One template asks for it. Let them ask for another one first.',
    });
    expect(await removeSignature(imke, 'runa-short', 1)).toMatchObject({ result: 'done' });
  });

  it('that somebody has changed meanwhile is not overwritten', async () => {
    expect(await keep('house', { version: 7 })).toMatchObject({ result: 'overtaken' });
  });
});

async function textOf(key: string): Promise<{ version: number; text: string }> {
  const template = (await templateInPencil(imke, key))!;
  return { version: template.version, text: printTemplate(inNames(template, await wordsFacts(imke))) };
}

import { expect, it } from 'vitest';
import { stableId } from '../../data/stableId';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { factsForWriting } from '../writing/factsForWriting';
import { keepTemplate } from './keepTemplate';
import { makeTemplate } from './makeTemplate';
import { draftsOf, keepTemplateDraft } from './templateDrafts';

demonstrationDatabase();
const teo = { ...imke, id: stableId('member', 'teo'), key: 'teo' };
const from = { kind: 'invoice', key: 'LPC-1048' } as const;
const reworded = async (member = imke) => (await factsForWriting(member, from))!.reworded;

it('a draft of the next version is kept for its writer, told to the others, and gone with the version', async () => {
  const key = 'first-reminder';
  expect(await draftsOf(imke, key)).toEqual({ others: [] });
  expect(await keepTemplateDraft(imke, key, { version: 1, text: 'One.' })).toBe(true);
  expect(await keepTemplateDraft(imke, key, { version: 1, text: 'Two.' })).toBe(true);
  expect(await draftsOf(imke, key)).toMatchObject({ own: { version: 1, text: 'Two.' }, others: [] });
  // Another member is told that there is one, not what it says.
  expect(await draftsOf(teo, key)).toEqual({
    others: [{ by: 'Imke Sandoval', when: expect.any(String) as string }],
  });
  // Where letters are written it is said as well.
  expect(await reworded()).toEqual([{ key, by: 'Imke Sandoval', own: true }]);
  expect(await reworded(teo)).toEqual([{ key, by: 'Imke Sandoval', own: false }]);

  const text = `---\nname: First reminder\ngroup: Money\nstarts from: invoice\nsubject: S\n---\nWords.\n`;
  expect(await keepTemplate(imke, key, 1, text)).toMatchObject({ result: 'kept' });
  expect(await draftsOf(imke, key)).toEqual({ others: [] });
  expect(await reworded()).toEqual([]);

  await keepTemplateDraft(teo, key, { version: 2, text: 'Mine.' });
  await keepTemplateDraft(teo, key, { version: 2, text: null });
  expect(await draftsOf(teo, key)).toEqual({ others: [] });
});

it('there is no draft of what a member may not see', async () => {
  expect(await keepTemplateDraft(imke, 'no-such-template', { version: 1, text: 'x' })).toBe(false);
  const made = await makeTemplate(teo, { name: 'Own', startsFrom: 'client', group: null });
  expect(made).toMatchObject({ result: 'done' });
});

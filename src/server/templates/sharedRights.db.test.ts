import { describe, expect, it } from 'vitest';
import { stableId } from '../../data/stableId';
import { NotAllowed } from '../signIn/rights';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { makeFirst } from './actTemplates';
import { arrangeTemplates } from './arrangeTemplates';
import { arrangeGroups, changeGroup, makeGroup, removeGroup } from './changeGroups';
import { findTemplates } from './findTemplates';
import { keepTemplate } from './keepTemplate';
import { keepLetterhead } from './letterhead';
import { copyTemplate, makeTemplate } from './makeTemplate';
import { keepPassage, makePassage, removePassage } from './passages';
import { setSharedRight, sharedRights } from './sharedRights';
import { keepSignature, makeSignature } from './signatures';
import { templateInPencil } from './templateInPencil';
import { putBack, throwAway } from './trash';
import { bringBack } from './versions';

demonstrationDatabase();
const runa = {
  ...imke,
  id: stableId('member', 'runa'),
  key: 'runa',
  role: 'member',
  changesShared: false,
} as const;

describe('whoever may not change what everyone writes with', () => {
  it.each<[string, () => Promise<unknown>]>([
    ['keep a template', () => keepTemplate(runa, 'short-note', 1, 'words')],
    ['bring a version back', () => bringBack(runa, 'short-note', 1, 1)],
    ['throw one away', () => throwAway(runa, 'short-note')],
    ['make one first', () => makeFirst(runa, 'second-reminder')],
    ['arrange them', () => arrangeTemplates(runa, [])],
    ['order groups', () => arrangeGroups(runa, [])],
    ['make a group', () => makeGroup(runa, { name: 'Mine' })],
    ['change one', () => changeGroup(runa, 'money', { version: 1, name: 'M', initial: 'M', tint: 'moss' })],
    ['remove one', () => removeGroup(runa, 'money', { version: 1, to: null })],
    ['make a passage', () => makePassage(runa, 'Parking')],
    [
      'keep one',
      () =>
        keepPassage(runa, 'how-to-pay', {
          version: 1,
          name: 'x',
          text: 'x',
          group: null,
          startsFrom: 'invoice',
        }),
    ],
    ['remove one of these', () => removePassage(runa, 'how-to-pay', 1)],
    ['make a signature of the house', () => makeSignature(runa, { name: 'House two', house: true })],
    ['write the letterhead', () => keepLetterhead(runa, 'top', { version: 1, text: 'x' })],
    ['give the right', () => setSharedRight(runa, 'teo', false)],
  ])('cannot %s', async (_, work) => {
    await expect(work()).rejects.toThrow(NotAllowed);
  });

  it('leaves all as it was', async () => {
    expect((await templateInPencil(runa, 'short-note'))!.version).toBe(1);
    expect(
      await keepSignature(runa, 'house', { version: 1, name: 'House', text: 'x', usual: true }),
    ).toMatchObject({
      result: 'gone',
    });
  });

  it('makes templates and copies of their own, which stay theirs', async () => {
    expect(await makeTemplate(runa, { name: 'Runa’s', startsFrom: 'client', group: null })).toMatchObject({
      result: 'done',
      key: 'runa-s',
    });
    expect(await copyTemplate(runa, 'short-note')).toMatchObject({ key: 'short-note-copy' });
    expect((await templateInPencil(runa, 'short-note-copy'))!.head.mine).toBe(true);
    expect(await templateInPencil(imke, 'short-note-copy')).toBeUndefined();
    const text = '---\nname: Runa’s\ngroup: none\nstarts from: client\nsubject: S\n';
    expect(await keepTemplate(runa, 'runa-s', 1, `${text}mine: yes\n---\n\nHello.\n`)).toMatchObject({
      result: 'kept',
    });
    await expect(keepTemplate(runa, 'runa-s', 2, `${text}---\n\nHello.\n`)).rejects.toThrow(NotAllowed);
    // Others find it by its name alone, and are told whose it is.
    const { keys, others } = await findTemplates(imke, 'runa');
    expect([keys, others]).toEqual([[], [{ name: 'Runa’s', whose: 'Runa Okafor' }]]);
    expect(await throwAway(runa, 'runa-s')).toMatchObject({ result: 'done' });
    expect(await putBack(runa, 'runa-s')).toMatchObject({ result: 'done' });
  });

  it('is said by an owner, who always may', async () => {
    expect(await setSharedRight(imke, 'runa', false)).toBe(true);
    expect(await setSharedRight(imke, 'imke', false)).toBe(false);
    expect(await setSharedRight(imke, 'nobody', false)).toBe(false);
    expect(await sharedRights(imke)).toEqual([
      { key: 'imke', name: 'Imke Sandoval', owner: true, changesShared: true },
      { key: 'runa', name: 'Runa Okafor', owner: false, changesShared: false },
      { key: 'teo', name: 'Teo Marsh', owner: false, changesShared: true },
    ]);
  });
});

import { describe, expect, it } from 'vitest';
import { editionOfTemplates } from '../../data/repositories/templates/templatesOfBusiness';
import { stableId } from '../../data/stableId';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { removeGroup } from './changeGroups';
import { keepShorthand, listShorthand, makeShorthand, removeShorthand, shorthandToWrite } from './shorthand';
import { shorthandHere } from './shorthandHere';

demonstrationDatabase();

const runa = {
  ...imke,
  id: stableId('member', 'runa'),
  key: 'runa',
  role: 'member' as const,
  changesShared: false,
};
const edition = forMember(({ business_id, id }: typeof imke) =>
  editionOfTemplates(connection(), business_id, id),
);
const keep = (key: string, change: Partial<Parameters<typeof keepShorthand>[2]>, member = imke) =>
  keepShorthand(member, key, {
    version: 1,
    name: 'kw',
    text: 'Words\n',
    group: null,
    startsFrom: 'booking',
    ...change,
  });

describe('shorthand', () => {
  it('of the house is everybody’s, one’s own nobody else’s; the same characters may be both', async () => {
    expect((await listShorthand(runa)).map(({ name, own }) => [name, own])).toEqual([
      [';kr', false],
      [';rate', false],
      [';review', false],
      [';warm', false],
    ]);
    const before = await edition(runa);
    const others = await edition(imke);
    expect(await makeShorthand(runa, { name: ';KR', house: false })).toMatchObject({ result: 'done' });
    expect((await shorthandHere(runa)).filter(({ own }) => own).map(({ name }) => name)).toEqual([';KR']);
    expect((await shorthandHere(imke)).some(({ name }) => name === ';KR')).toBe(false);
    // Devices are given it anew: only those of whom it is.
    expect(await edition(runa)).not.toBe(before);
    expect(await edition(imke)).toBe(others);
  });

  it('has characters that no other of the same person has, whatever their case', async () => {
    expect(await makeShorthand(imke, { name: ';Kr', house: true })).toEqual({
      result: 'taken',
      error: '“;Kr” stands for something already.',
      field: 'name',
    });
  });

  it('of the house is changed by whoever may change what is shared', async () => {
    await expect(makeShorthand(runa, { name: 'ours', house: true })).rejects.toThrow();
    await expect(keep('kr', { name: ';kr' }, runa)).rejects.toThrow();
    await expect(removeShorthand(runa, 'kr', 1)).rejects.toThrow();
    expect(await shorthandToWrite(imke, 'kr')).toMatchObject({ name: ';kr', own: false, version: 1 });
  });

  it('is kept with its fields and blanks; what is wrong is said; the later writer is told', async () => {
    const made = await makeShorthand(imke, { name: 'kw', house: false });
    const key = made.result === 'done' ? made.key : '';
    const text = 'On {{booking.starts_at | weekday}} for {{? Rate : money}}\n';
    expect(await keep(key, { text, group: 'visits' })).toMatchObject({ result: 'done', version: 2 });
    expect(await shorthandToWrite(imke, key)).toMatchObject({ text, group: 'visits', own: true });
    expect((await shorthandHere(imke)).find((one) => one.key === key)).toMatchObject({ group: 'Visits' });
    expect(await keep(key, { version: 2, text: '{{booking.moon}}' })).toMatchObject({ result: 'wrong' });
    expect(await keep(key, { version: 1 })).toMatchObject({ result: 'overtaken' });
    expect(await keep(key, { version: 2 }, runa)).toMatchObject({ result: 'gone' });
    expect(await removeShorthand(runa, key, 2)).toMatchObject({ result: 'gone' });
    // A group goes, what stood in it stays.
    await removeGroup(imke, 'visits', { version: 1, to: null });
    expect(await shorthandToWrite(imke, key)).toMatchObject({ group: null });
    expect(await removeShorthand(imke, key, 2)).toMatchObject({ result: 'done' });
    expect(await shorthandToWrite(imke, key)).toBeUndefined();
  });
});

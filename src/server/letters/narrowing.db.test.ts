import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { LetterNarrowing } from '../../core/contract/letterNarrowing';
import { lettersOf, type KeptLetter } from '../../data/repositories/letters';
import { stableId } from '../../data/stableId';
import {
  temporaryDatabase,
  withDemonstration,
  type TemporaryDatabase,
} from '../../data/test/temporaryDatabase';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { imke } from '../test/imke';
import { findLetters } from './findLetters';
import { narrowingChoices } from './narrowingChoices';
import { post } from './post';

let database: TemporaryDatabase;
const elsewhere: CurrentMember = { ...imke, business_id: stableId('business', 'other') };

beforeAll(async () => {
  database = await temporaryDatabase();
  process.env.DATABASE_URL = database.url;
  process.env.FAIRQUILL_NOW = '2026-11-25T09:00:00Z';
  await withDemonstration(database);
});
afterAll(async () => {
  await connection().close();
  await database.drop();
});

describe('Post is narrowed', () => {
  const narrowed = async (narrowing: LetterNarrowing) => (await post(imke, undefined, narrowing)).letters;
  const all = () => lettersOf(connection(), imke.business_id, {}, 1000);

  it.each<[LetterNarrowing, (letter: KeptLetter) => boolean]>([
    [{ state: 'came in' }, ({ direction }) => direction === 'in'],
    [{ state: 'came back' }, ({ status }) => ['bounced', 'failed', 'may have arrived'].includes(status)],
    [{ state: 'gone' }, ({ status }) => ['sent', 'delivered', 'opened'].includes(status)],
    [{ state: 'waits for an answer' }, ({ waits }) => waits],
    [{ member: 'runa' }, ({ member_key }) => member_key === 'runa'],
    [{ template: 'first-reminder' }, ({ template_key }) => template_key === 'first-reminder'],
    [{ time: '30' }, ({ at }) => at.getTime() >= Date.parse('2026-10-26T09:00:00Z')],
    [
      { time: '90', member: 'imke', state: 'gone' },
      ({ at, member_key, status }) =>
        at.getTime() >= Date.parse('2026-08-27T09:00:00Z') &&
        member_key === 'imke' &&
        ['sent', 'delivered', 'opened'].includes(status),
    ],
  ])('by %j: what is like that, newest first', async (narrowing, isLike) => {
    const like = (await all()).filter(isLike).map(({ id }) => id);
    expect(like.length).toBeGreaterThan(0);
    expect((await narrowed(narrowing)).map(({ id }) => id)).toEqual(like);
  });

  it('by what nothing is, and what there is none of', async () => {
    expect(await narrowed({ member: 'nobody' })).toEqual([]);
    expect(await narrowed({ template: 'no-such-template' })).toEqual([]);
    expect(await narrowed({ state: 'for later' })).toEqual([]);
  });

  it('beside words, and offers who and what there is', async () => {
    const found = await findLetters(imke, 'piano');
    const hers = found.filter(({ member_key }) => member_key === 'imke').map(({ id }) => id);
    expect(hers.length).toBeGreaterThan(0);
    expect(hers.length).toBeLessThan(found.length);
    expect((await findLetters(imke, 'piano', { member: 'imke' })).map(({ id }) => id)).toEqual(hers);
    const { members, templates } = await narrowingChoices(imke);
    expect(members.map(([key]) => key).sort()).toEqual(['imke', 'runa', 'teo']);
    expect(templates.map(([key]) => key)).toContain('first-reminder');
    expect((await narrowingChoices({ ...elsewhere })).templates).toEqual([]);
  });

  it('beside words that none of the newest thousands has', async () => {
    const old = (await findLetters(imke, 'piano', { state: 'gone' })).map(({ id }) => id);
    expect(old.length).toBeGreaterThan(0);
    await connection().inBusiness(imke.business_id, () =>
      connection().sequelize.query(
        `insert into message (business_id, id, message_id, direction, status, thread_id, subject, text, at)
         select '${imke.business_id}', gen_random_uuid(), 'many-' || n || '@larkfield.example', 'out', 'sent', gen_random_uuid(),
           'One of many', 'Nothing of note', timestamptz '2026-11-25T08:59:00Z' from generate_series(1, 3001) n`,
      ),
    );
    expect(await findLetters(imke, 'of note', { state: 'gone' })).toHaveLength(50);
    expect((await findLetters(imke, 'piano', { state: 'gone' })).map(({ id }) => id)).toEqual(old);
    expect(await findLetters(imke, 'piano', { state: 'came back', time: 'before' })).toEqual([]);
  });
});

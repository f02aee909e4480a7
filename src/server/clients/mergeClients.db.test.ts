import { QueryTypes } from 'sequelize';
import { beforeAll, expect, it, vi } from 'vitest';
import * as clock from '../clock';
import { connection } from '../connection';
import { keepRecord, recordFacts } from '../records/keepRecord';
import { recordPage } from '../records/recordPage';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { everyRecordFiled } from '../test/everyRecordFiled';
import { imke } from '../test/imke';
import { likelyDoubles, mergeClient, mergedLately, twoClients, unmergeClient } from './mergeClients';

demonstrationDatabase();
beforeAll(everyRecordFiled);

const TABLES = [
  ...['client', 'contact', 'item', 'project', 'project_contact', 'project_partner', 'enquiry', 'booking'],
  ...['booking_item', 'invoice', 'record_file', 'message', 'record_words'],
];

/** Everything that a merger touches; a client's version counts every change and is left out. */
async function everything(): Promise<Record<string, unknown>> {
  return connection().inBusiness(imke.business_id, async () => {
    const said: Record<string, unknown> = {};
    for (const table of TABLES) {
      const [row] = await connection().sequelize.query<{ all: unknown }>(
        `select jsonb_agg(to_jsonb(one) - 'version' order by (to_jsonb(one) - 'version')::text) as all from ${table} one`,
        { type: QueryTypes.SELECT },
      );
      said[table] = row!.all;
    }
    return said;
  });
}

const versionOf = async (key: string) => (await recordFacts(imke, 'client', key))!.version;

async function merge(kept: string, gone: string, take: string[] = []) {
  const asked = {
    version: await versionOf(kept),
    gone,
    goneVersion: await versionOf(gone),
    take: take as [],
  };
  return mergeClient(imke, kept, asked);
}

it.each([
  ['hartigan', 'college'],
  ['college', 'hartigan'],
  ['saltbyschool', 'reyes'],
])(
  '%s with %s in it is one client with all that was of both; made two again, all is as it was',
  async (kept, gone) => {
    const before = await everything();
    const count = async (key: string) => (await recordPage(imke, { kind: 'client', key }))!.view.links.length;
    const links = (await count(kept)) + (await count(gone));
    expect(await merge(kept, gone)).toBe(true);
    expect(await recordFacts(imke, 'client', gone)).toBeUndefined();
    expect(await count(kept)).toBe(links);
    const [merged] = await mergedLately(imke, kept);
    expect(await unmergeClient(imke, merged!.id)).toBe(gone);
    expect(await everything()).toEqual(before);
    expect(await mergedLately(imke, kept)).toEqual([]);
    expect(await unmergeClient(imke, merged!.id)).toBeUndefined();
  },
);

it('what both say otherwise is shown in words, and the chosen one is taken', async () => {
  const two = (await twoClients(imke, 'hartigan', 'quist'))!;
  expect(two.differing.map(({ fact }) => fact)).toContain('email');
  expect(two.differing.find(({ fact }) => fact === 'address')?.kept).toMatch(/Saltby/);
  const quist = (await recordFacts(imke, 'client', 'quist'))!;
  await merge('hartigan', 'quist', ['email']);
  const now = (await recordFacts(imke, 'client', 'hartigan'))!;
  expect(now).toMatchObject({ name: 'Oda Hartigan', email: quist.email });
  // What is changed since stands when it is undone.
  await keepRecord(imke, 'client', 'hartigan', { ...now, notes: 'Changed since.' });
  const [merged] = await mergedLately(imke, 'hartigan');
  await unmergeClient(imke, merged!.id);
  expect(await recordFacts(imke, 'client', 'hartigan')).toMatchObject({ notes: 'Changed since.' });
  expect(await recordFacts(imke, 'client', 'quist')).toMatchObject({ name: quist.name, email: quist.email });
});

it('it can be undone for a day', async () => {
  await merge('hartigan', 'wray');
  const [merged] = await mergedLately(imke, 'hartigan');
  const later = vi.spyOn(clock, 'now').mockReturnValue(clock.now() + 86_400_001);
  expect(await mergedLately(imke, 'hartigan')).toEqual([]);
  expect(await unmergeClient(imke, merged!.id)).toBeUndefined();
  later.mockRestore();
  expect(await unmergeClient(imke, merged!.id)).toBe('wray');
});

it('two who merge at once, a client with itself, and one that was changed since: refused', async () => {
  const [version, goneVersion] = [await versionOf('hartigan'), await versionOf('wray')];
  const asked = { version, gone: 'wray', goneVersion, take: [] };
  const answers = await Promise.all([
    mergeClient(imke, 'hartigan', asked),
    mergeClient(imke, 'hartigan', asked),
  ]);
  expect(answers.sort()).toEqual([false, true]);
  expect(await merge('hartigan', 'hartigan')).toBe(false);
  expect(await twoClients(imke, 'hartigan', 'hartigan')).toBeUndefined();
  expect(await mergeClient(imke, 'hartigan', { ...asked, gone: 'nobody' })).toBe(false);
});

it('likely doubles are found by address and number', async () => {
  const reyes = (await recordFacts(imke, 'client', 'reyes'))!;
  const calder = (await recordFacts(imke, 'client', 'calder'))!;
  await keepRecord(imke, 'client', 'calder', { ...calder, email: reyes.email });
  expect((await likelyDoubles(imke, 'reyes')).map(({ key }) => key)).toContain('calder');
});

import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { sweepRemoved } from '../../data/repositories/files/sweepRemoved';
import { factsForWriting } from '../writing/factsForWriting';
import { sendLetter } from '../sending/sendLetter';
import { sendingDatabase } from '../sending/test/sendingDatabase';
import { written } from '../sending/test/written';
import { imke } from '../test/imke';
import type { BegunLetter } from '../../data/repositories/drafts';
import { dropDraft, keepDraft, listDrafts, oneDraft } from './drafts';

const ground = sendingDatabase();
const START = { kind: 'invoice', key: 'LPC-1048' } as const;

async function begun(more: Partial<BegunLetter> = {}): Promise<BegunLetter> {
  const { id, choices, document } = await written();
  const letter = { choices, document };
  return {
    id,
    start: START,
    letter,
    base: document,
    name: 'Hale Brandreth',
    template: 'First reminder',
    ...more,
  };
}

const DEVICES = [randomUUID(), randomUUID(), randomUUID()] as const;
/** What a device has seen. */
const by = (seen: number, device = 0) => ({ seen, device: DEVICES[device]! });

/** Another member of the same business. */
async function teo() {
  const [rows] = await ground.database.sequelize.query(
    `select id, key, full_name from member where key = 'teo' and business_id = '${imke.business_id}'`,
  );
  return { ...imke, ...(rows[0] as { id: string; key: string; full_name: string }) };
}

describe('a letter that was begun', () => {
  it('is there for its writer’s other devices, and for nobody else', async () => {
    const draft = await begun();
    expect(await keepDraft(imke, draft, by(0))).toMatchObject({ version: 1 });
    expect(await oneDraft(imke, draft.id)).toMatchObject({
      from: 'invoice:LPC-1048',
      letter: draft.letter,
      base: draft.base,
      template_key: 'first-reminder',
    });
    expect((await listDrafts(imke)).map(({ id }) => id)).toEqual([draft.id]);
    expect((await factsForWriting(imke, START))!.drafts.kept).toEqual([{ id: draft.id, version: 1 }]);
    const other = await teo();
    expect(await listDrafts(other)).toEqual([]);
    expect(await oneDraft(other, draft.id)).toBeUndefined();
    expect(await keepDraft(other, draft, by(0))).toBeUndefined();
    expect(await keepDraft(other, draft, by(1))).toBeUndefined();
    await dropDraft(other, draft.id);
    expect(await oneDraft(imke, draft.id)).toBeDefined();
    expect((await factsForWriting(other, START))!.drafts.kept).toEqual([]);
  });

  it('comes to another device word for word: one that differs only in order would be another letter there', async () => {
    const draft = await begun();
    await keepDraft(imke, draft, by(0));
    const { letter, base } = (await oneDraft(imke, draft.id))!;
    expect(JSON.stringify({ letter, base })).toBe(JSON.stringify({ letter: draft.letter, base: draft.base }));
  });

  it('is kept by whoever saw it last; the other is told', async () => {
    const draft = await begun();
    await keepDraft(imke, draft, by(0));
    expect(await keepDraft(imke, { ...draft, name: 'one' }, by(1, 1))).toMatchObject({ version: 2 });
    expect(await keepDraft(imke, { ...draft, name: 'two' }, by(1))).toMatchObject({
      version: 2,
      overtaken: true,
    });
    expect(await keepDraft(imke, { ...draft, name: 'two' }, by(0))).toMatchObject({
      version: 2,
      overtaken: true,
    });
    expect(await oneDraft(imke, draft.id)).toMatchObject({ name: 'one' });
    const both = await Promise.all(
      [0, 2].map((device) => keepDraft(imke, { ...draft, name: `by ${device}` }, by(2, device))),
    );
    expect(both.filter((one) => one?.overtaken)).toHaveLength(1);
  });

  it('is kept again by a device that was not told of its last version', async () => {
    const draft = await begun();
    await keepDraft(imke, draft, by(0));
    expect(await keepDraft(imke, draft, by(0))).toMatchObject({ version: 2 });
    expect(await keepDraft(imke, { ...draft, name: 'one' }, by(2))).toMatchObject({ version: 3 });
    const again = await keepDraft(imke, { ...draft, name: 'two' }, by(2));
    expect(again).toMatchObject({ version: 4 });
    expect(again!.overtaken).toBeUndefined();
    expect(await keepDraft(imke, draft, by(0, 1))).toMatchObject({ version: 4, overtaken: true });
  });

  it('is none any more when it was sent, or thrown away: nothing brings it back', async () => {
    const letter = await written();
    const draft = await begun({ id: letter.id });
    await keepDraft(imke, draft, by(0));
    await sendLetter(imke, letter);
    expect(await listDrafts(imke)).toEqual([]);
    expect(await keepDraft(imke, draft, by(1))).toBeUndefined();
    expect(await keepDraft(imke, draft, by(0))).toBeUndefined();
    const other = await begun();
    await keepDraft(imke, other, by(0));
    await dropDraft(imke, other.id);
    expect(await keepDraft(imke, other, by(1))).toBeUndefined();
    expect(await oneDraft(imke, randomUUID())).toBeUndefined();
  });

  it('is swept away when nobody has touched it for long', async () => {
    const draft = await begun();
    await keepDraft(imke, draft, by(0));
    const before = { files: new Date(0), records: new Date(0) };
    await sweepRemoved(ground.database, { ...before, letters: new Date(0) });
    expect(await listDrafts(imke)).toHaveLength(1);
    await sweepRemoved(ground.database, { ...before, letters: new Date(Date.now() + 60_000) });
    expect(await listDrafts(imke)).toEqual([]);
  });
});

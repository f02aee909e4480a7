import { QueryTypes } from 'sequelize';
import { beforeAll, expect, it } from 'vitest';
import { startingRecord } from '../../data/repositories/startingRecords';
import { connection } from '../connection';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { everyRecordFiled } from '../test/everyRecordFiled';
import { imke } from '../test/imke';
import type { FormKind } from '../../core/contract/records/formKinds';
import { keepRecord, recordFacts } from './keepRecord';
import { putBackRecord, removedRecords, removeRecord } from './removeRecord';

demonstrationDatabase();
beforeAll(everyRecordFiled);

const TABLES = [
  ...['client', 'contact', 'item', 'project', 'project_contact', 'project_partner', 'enquiry', 'booking'],
  ...['booking_item', 'invoice', 'invoice_line', 'payment', 'instalment', 'record_file', 'partner'],
  ...['message', 'record_words'],
];

/** Everything that a removal touches, as it stands. */
async function everything(): Promise<Record<string, unknown>> {
  return connection().inBusiness(imke.business_id, async () => {
    const said: Record<string, unknown> = {};
    for (const table of TABLES) {
      const [row] = await connection().sequelize.query<{ all: unknown }>(
        `select jsonb_agg(to_jsonb(one) order by to_jsonb(one)::text) as all from ${table} one`,
        { type: QueryTypes.SELECT },
      );
      said[table] = row!.all;
    }
    return said;
  });
}

async function versionOf(kind: FormKind, key: string): Promise<number> {
  return (await recordFacts(imke, kind, key))!.version;
}

async function clientWithoutInvoices(): Promise<string> {
  const [found] = await connection().inBusiness(imke.business_id, () =>
    connection().sequelize.query<{ key: string }>(
      `select key from client where not exists (select from invoice where client_id = client.id and status <> 'draft')
         and exists (select from booking where client_id = client.id)
       order by (select count(*) from message where client_id = client.id) desc, key limit 1`,
      { type: QueryTypes.SELECT },
    ),
  );
  return found!.key;
}

it.each<[FormKind, string | undefined]>([
  ['booking', 'b-hartigan'],
  ['project', 'reyes-restoration'],
  ['enquiry', 'e1'],
  ['partner', 'mover'],
  ['invoice', 'LPC-1060'],
  ['client', undefined],
])('a %s that is removed and put back is as it was, with all that hangs on it', async (kind, known) => {
  const key = known ?? (await clientWithoutInvoices());
  const before = await everything();
  const removed = await removeRecord(imke, kind, key, await versionOf(kind, key));
  if ('stays' in removed) throw new Error(removed.stays);
  expect(await recordFacts(imke, kind, key)).toBeUndefined();
  expect(await everything()).not.toEqual(before);
  expect(await removedRecords(imke)).toMatchObject([{ kind, key, member: 'Imke Sandoval' }]);
  expect(await putBackRecord(imke, removed.removed)).toEqual({ kind, key });
  expect(await everything()).toEqual(before);
  expect(await putBackRecord(imke, removed.removed)).toBeUndefined();
});

it('a record whose key another has by now comes back under another', async () => {
  const facts = (await recordFacts(imke, 'partner', 'keys'))!;
  const removed = await removeRecord(imke, 'partner', 'keys', facts.version);
  await connection().inBusiness(imke.business_id, () =>
    connection().models.partner.create({
      business_id: imke.business_id,
      id: '00000000-0000-4000-8000-00000000beef',
      key: 'keys',
      name: 'Another',
    }),
  );
  const back = await putBackRecord(imke, (removed as { removed: string }).removed);
  expect(back?.key).toMatch(/^keys-[0-9a-f]{4}$/);
  expect(await recordFacts(imke, 'partner', back!.key)).toMatchObject({ name: facts.name });
});

it('what was issued stays, and whose it is', async () => {
  expect(await removeRecord(imke, 'invoice', 'LPC-1048', await versionOf('invoice', 'LPC-1048'))).toEqual({
    stays: 'It was issued: its number is its own for good. Make it void instead.',
  });
  const college = await removeRecord(imke, 'client', 'college', await versionOf('client', 'college'));
  expect(college).toEqual({
    stays: expect.stringMatching(
      /^(?:One invoice|\d+ invoices) of theirs (?:was|were) issued and must stay, and so do they\.$/,
    ) as string,
  });
});

it('what was changed meanwhile is not removed', async () => {
  const seen = (await recordFacts(imke, 'booking', 'b01'))!;
  await keepRecord(imke, 'booking', 'b01', { ...seen, notes: 'Ring twice.' });
  expect(await removeRecord(imke, 'booking', 'b01', seen.version)).toEqual({
    stays: 'Somebody has changed or removed it since you opened it. Look at it again.',
  });
  const start = { kind: 'booking', key: 'b01' } as const;
  expect(
    await connection().inBusiness(imke.business_id, () =>
      startingRecord(connection(), imke.business_id, start),
    ),
  ).toBeDefined();
});

import { createTransport } from 'nodemailer';
import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { withReplyMark } from '../../core/incoming/replyMark';
import { stableId } from '../../data/stableId';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { startIncoming, type Protocol } from './startIncoming';
import { message } from './test/awkward';

const ground = demonstrationDatabase();
const servers: Partial<Record<Protocol, { port: number; stop: () => Promise<void> }>> = {};
beforeAll(async () => {
  for (const protocol of ['lmtp', 'smtp'] as const) servers[protocol] = await startIncoming(0, { protocol });
});
afterAll(() => Promise.all(Object.values(servers).map(({ stop }) => stop())));

let count = 0;
/** Brings a message; gives who took it, and what was said of the others. */
async function bring(
  to: string[],
  { protocol = 'lmtp' as Protocol, raw = undefined as Buffer | undefined } = {},
) {
  const transport = createTransport({
    host: '127.0.0.1',
    port: servers[protocol]!.port,
    lmtp: protocol === 'lmtp',
    ignoreTLS: true,
  } as Parameters<typeof createTransport>[0]);
  raw ??= message({ 'Message-ID': `<in-${++count}@x.example>` }, 'Hello\n');
  try {
    const sent = (await transport.sendMail({ envelope: { from: 'oda@hartigan.example', to }, raw })) as {
      accepted: string[];
      rejectedErrors?: { response?: string }[];
    };
    return { taken: sent.accepted, said: (sent.rejectedErrors ?? []).map(({ response }) => response) };
  } catch (error) {
    return { taken: [], said: [(error as { response?: string }).response] };
  } finally {
    transport.close();
  }
}
const messages = async () =>
  (
    await ground.database.sequelize.query<{ n: number }>(
      `select count(*)::int as n from message where direction = 'in'`,
      { type: QueryTypes.SELECT },
    )
  )[0]!.n;

describe.each(['lmtp', 'smtp'] as const)('mail that is brought by %s', (protocol) => {
  it('is taken for a member, with a mark or a word behind the name, and for the business itself', async () => {
    const before = await messages();
    for (const to of [
      'imke@larkfield.example',
      'IMKE+post@larkfield.example',
      withReplyMark('imke@larkfield.example', stableId('message', 'm-invoice-59')),
      'office@larkfield.example',
    ])
      expect(await bring([to], { protocol })).toEqual({ taken: [to], said: [] });
    expect(await messages()).toBe(before + 4);
  });

  it('is taken once for two of one business, and again as often as it is brought', async () => {
    const before = await messages();
    const raw = message({ 'Message-ID': `<twice-${protocol}@x.example>` }, 'Hello\n');
    const to = ['imke@larkfield.example', 'teo@larkfield.example'];
    for (let n = 0; n < 2; n++) expect((await bring(to, { protocol, raw })).taken).toEqual(to);
    expect(await messages()).toBe(before + 1);
  });

  it('is turned away for nobody here', async () => {
    const { taken, said } = await bring(['nobody@larkfield.example'], { protocol });
    expect({ taken, said }).toEqual({ taken: [], said: [expect.stringMatching(/^550 5\.1\.1 Nobody here/)] });
  });

  it('is turned away where it is too large, and nothing of it is kept', async () => {
    const before = await messages();
    const raw = message({}, Buffer.alloc(46_000_000, 'x'));
    expect((await bring(['imke@larkfield.example'], { protocol, raw })).taken).toEqual([]);
    expect(await messages()).toBe(before);
  });
});

it('waits where it is brought while the database cannot keep it', async () => {
  const { sequelize } = ground.database;
  await sequelize.query('alter table incoming rename to incoming_away');
  try {
    const { taken, said } = await bring(['imke@larkfield.example']);
    expect({ taken, said }).toEqual({ taken: [], said: [expect.stringMatching(/^451 /)] });
  } finally {
    await sequelize.query('alter table incoming_away rename to incoming');
  }
});

it('of two businesses that give one address as theirs is for the one whose letter it is about', async () => {
  const { sequelize } = ground.database;
  await sequelize.query(
    `insert into business (id, key, name, email, locale, time_zone, currency, hour_cycle, item_label)
     values (gen_random_uuid(), 'other', 'Other', 'office@larkfield.example', 'en-GB', 'Europe/London', 'GBP', 24, 'thing')`,
  );
  const before = await messages();
  const office = ['office@larkfield.example'];
  const answered = message(
    { 'Message-ID': '<two-1@x.example>', 'In-Reply-To': '<m-invoice-59@larkfield.example>' },
    'Hello\n',
  );
  expect((await bring(office, { raw: answered })).taken).toEqual(office);
  expect(await messages()).toBe(before + 1);
  const { taken, said } = await bring(office);
  expect({ taken, said }).toEqual({ taken: [], said: [expect.stringMatching(/^550 /)] });
});

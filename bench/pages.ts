import { QueryTypes } from 'sequelize';
import { bookingWords } from '../src/core/records/bookingWords';
import { openDatabase } from '../src/data/database';
import { connection } from '../src/server/connection';
import type { CurrentMember } from '../src/server/signIn/currentMember';
import { forMember } from '../src/server/forMember';
import { factsForWriting } from '../src/server/writing/factsForWriting';
import { answersWaiting } from '../src/server/incoming/answersWaiting';
import { findLetters } from '../src/server/letters/findLetters';
import { findRecords, listRecords } from '../src/server/lists/listRecords';
import { post } from '../src/server/letters/post';
import { recordPage } from '../src/server/records/recordPage';
import { showLetters } from '../src/server/letters/showLetters';
import { templatesByGroup } from '../src/server/templates/templatesByGroup';
import { today } from '../src/server/today/today';
import { generate } from './generate';

// What each page costs on the server in a small and in a large business: its queries, its time, and the rows that it read
// without an index. node pages.mjs [clients of the large one] [templates]
const [large = '5000', templates = '620'] = process.argv.slice(2);
const SMALL = 1000;
const ROUNDS = 20;
/** A server that has been asked for a while: its code is compiled for speed, and its tables are in memory. */
const WARMING = 6;
/** Reading fewer rows than these one after another is no scan of a large table. */
const LARGE_TABLE = 5000;
const ownerUrl = process.env.DATABASE_OWNER_URL!;

const { acrossBusinesses, sequelize } = connection();
const [row] = await acrossBusinesses(() =>
  sequelize.query<Omit<CurrentMember, 'words'>>(
    `select business_id, 'x' as business_name, member.id, member.key, full_name, role from member where key = 'imke'`,
    { type: QueryTypes.SELECT },
  ),
);
const member: CurrentMember = { ...row!, words: bookingWords(null) };

let edition = '';
let place: string | undefined;
const pages: Record<string, () => Promise<unknown>> = {
  'Nothing: the machine': () => forMember(() => sequelize.query('select 1'))(member),
  Today: () => today(member),
  Clients: async () => (place = (await listRecords(member, 'client')).next),
  '  what follows': () => listRecords(member, 'client', place),
  '  found: client 432': () => findRecords(member, 'client', 'client 432'),
  '  found: 01632 900432': () => findRecords(member, 'client', '01632 900432'),
  '  found: generated': () => findRecords(member, 'client', 'generated'),
  'A client': () => recordPage(member, { kind: 'client', key: 'college' }),
  Visits: () => listRecords(member, 'booking'),
  Invoices: () => listRecords(member, 'invoice'),
  '  found: G-g432': () => findRecords(member, 'invoice', 'G-g432'),
  Projects: () => listRecords(member, 'project'),
  'An invoice': () => recordPage(member, { kind: 'invoice', key: 'LPC-1048' }),
  Templates: () => templatesByGroup(member),
  'Writing, new device': async () =>
    (edition = (await factsForWriting(member, { kind: 'invoice', key: 'LPC-1048' }))!.edition),
  'Writing again': () => factsForWriting(member, { kind: 'invoice', key: 'LPC-1048' }, { edition }),
  Post: async () => showLetters(member, (await post(member)).letters),
  'Answers waiting': () => answersWaiting(member),
  '  came in': () => post(member, undefined, { state: 'came in' }),
  '  came back': () => post(member, undefined, { state: 'came back' }),
  '  waits for an answer': () => post(member, undefined, { state: 'waits for an answer' }),
  '  of a member, before the last year': () => post(member, undefined, { member: 'runa', time: 'before' }),
  '  from a template': () => post(member, undefined, { template: 'first-reminder' }),
  '  from a template, by a member, came back': () =>
    post(member, undefined, { template: 'first-reminder', member: 'teo', state: 'came back' }),
  '  found: piano, narrowed': () => findLetters(member, 'letter 3 piano', { member: 'imke', time: '90' }),
  '  found: piano g432': () => findLetters(member, 'letter 3 client 432 piano'),
};

interface Measured {
  queries: number;
  median: number;
  p95: number;
  scanned: string;
}

const { options } = connection().sequelize as unknown as { options: { logging: unknown } };
const watching = openDatabase(ownerUrl, { connections: 1 });
const measured: Record<string, Measured[]> = {};
const [kept] = await watching.sequelize.query<{ clients: number }>(
  `select reltuples::int as clients from pg_class where relname = 'client'`,
  { type: QueryTypes.SELECT },
);
// A large business that was kept from another run is not made small again.
const sizes = kept!.clients > SMALL ? [Number(large)] : [SMALL, Number(large)];
for (const clients of sizes) {
  const began = performance.now();
  await generate(ownerUrl, { clients, templates: Number(templates) });
  console.log(`${clients} clients made in ${((performance.now() - began) / 1000).toFixed(0)} s`);
  for (let i = 0; i < WARMING; i++) for (const open of Object.values(pages)) await open();
  const before = heap();
  for (const [name, open] of Object.entries(pages)) (measured[name] ??= []).push(await measure(open));
  console.log(`Heap after every page ${WARMING} times ${before} MB, after ${ROUNDS} times more ${heap()} MB`);
}
await Promise.all([connection().close(), watching.close()]);

async function measure(open: () => Promise<unknown>): Promise<Measured> {
  let queries = 0;
  options.logging = (sql: string) => (queries += / (?:begin|START|COMMIT|set_config)/i.test(sql) ? 0 : 1);
  const before = await scans();
  await open();
  options.logging = false;
  const after = await scans();
  const scanned = [...after].flatMap(([table, read]) =>
    read - (before.get(table) ?? 0) > LARGE_TABLE ? [`${table} ${read - (before.get(table) ?? 0)}`] : [],
  );
  const times: number[] = [];
  for (let i = 0; i < ROUNDS; i++) {
    const began = performance.now();
    await open();
    times.push(performance.now() - began);
  }
  times.sort((a, b) => a - b);
  return {
    queries,
    median: times[ROUNDS >> 1]!,
    p95: times[Math.floor(ROUNDS * 0.95)]!,
    scanned: scanned.join(', '),
  };
}

/** What is held after everything else was let go (node --expose-gc), in megabytes. */
function heap(): string {
  gc!();
  return (process.memoryUsage().heapUsed / 1e6).toFixed(0);
}

/** Rows read one after another, by table; the server writes that down a second late. */
async function scans(): Promise<Map<string, number>> {
  await new Promise((resolve) => setTimeout(resolve, 1200));
  await sequelize.query('select 1');
  await new Promise((resolve) => setTimeout(resolve, 1200));
  const rows = await watching.sequelize.query<{ relname: string; seq_tup_read: number }>(
    'select relname, seq_tup_read from pg_stat_user_tables',
    { type: QueryTypes.SELECT },
  );
  return new Map(rows.map(({ relname, seq_tup_read }) => [relname, seq_tup_read]));
}

const milliseconds = ({ median, p95 }: Measured) => `${median.toFixed(0)} (${p95.toFixed(0)})`.padStart(11);
console.log(
  `\n${'Page'.padEnd(24)}queries   ms, median (p95): ${sizes.join(' and ')} clients   read without an index`,
);
for (const [name, all] of Object.entries(measured)) {
  const last = all.at(-1)!;
  const times = all.length > 1 ? `${(last.median / all[0]!.median).toFixed(1).padStart(7)} ×` : '';
  console.log(
    `${name.padEnd(24)}${String(last.queries).padStart(7)} ${all.map(milliseconds).join(' ')} ${times}   ${last.scanned}`,
  );
}

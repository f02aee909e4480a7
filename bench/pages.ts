import { QueryTypes } from 'sequelize';
import { bookingWords } from '../src/core/records/bookingWords';
import { connection } from '../src/server/connection';
import type { CurrentMember } from '../src/server/currentMember';
import { factsForWriting } from '../src/server/factsForWriting';
import { findRecords, listRecords } from '../src/server/listRecords';
import { post } from '../src/server/post';
import { recordPage } from '../src/server/recordPage';
import { templatesByGroup } from '../src/server/templatesByGroup';
import { today } from '../src/server/today';
import { generate } from './generate';

// Counts the queries that each page asks of the database, and the time its use case takes, with 50 and with 5,000 clients.
const ROUNDS = 5;
const url = process.env.DATABASE_OWNER_URL!;

const { acrossBusinesses, sequelize } = connection();
const [row] = await acrossBusinesses(() =>
  sequelize.query<Omit<CurrentMember, 'words'>>(
    `select business_id, 'x' as business_name, member.id, member.key, full_name, role from member where key = 'imke'`,
    { type: QueryTypes.SELECT },
  ),
);
const member: CurrentMember = { ...row!, words: bookingWords(null) };
const pages: Record<string, () => Promise<unknown>> = {
  Today: () => today(member),
  Clients: () => listRecords(member, 'client'),
  'Finding a client': () => findRecords(member, 'client', 'client 4321'),
  'A client': () => recordPage(member, { kind: 'client', key: 'college' }),
  Visits: () => listRecords(member, 'booking'),
  Invoices: () => listRecords(member, 'invoice'),
  'Finding an invoice': () => findRecords(member, 'invoice', 'lpc 1048'),
  'An invoice': () => recordPage(member, { kind: 'invoice', key: 'LPC-1048' }),
  Templates: () => templatesByGroup(member),
  Writing: () => factsForWriting(member, { kind: 'invoice', key: 'LPC-1048' }),
  Post: () => post(member),
};

const { options } = connection().sequelize as unknown as { options: { logging: unknown } };
const measured: Record<string, { queries: number; milliseconds: number }[]> = {};
for (const clients of [50, 5000]) {
  await generate(url, { clients, templates: 620 });
  for (const [name, open] of Object.entries(pages)) {
    let queries = 0;
    options.logging = () => queries++;
    await open();
    options.logging = false;
    const times: number[] = [];
    for (let i = 0; i < ROUNDS; i++) {
      const began = performance.now();
      await open();
      times.push(performance.now() - began);
    }
    (measured[name] ??= []).push({ queries, milliseconds: times.sort((a, b) => a - b)[ROUNDS >> 1]! });
  }
}
await connection().close();

console.log('Page           queries at 50 / 5,000 clients    server time, median of 5');
for (const [name, [few, many]] of Object.entries(measured)) {
  const same = few!.queries === many!.queries ? 'the same' : 'NOT THE SAME';
  console.log(
    `${name.padEnd(14)} ${String(few!.queries).padStart(4)} / ${String(many!.queries).padEnd(4)} ${same.padEnd(22)} ` +
      `${few!.milliseconds.toFixed(0).padStart(5)} ms / ${many!.milliseconds.toFixed(0)} ms`,
  );
}

import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { temporaryDatabase, withDemonstration, type TemporaryDatabase } from './test/temporaryDatabase';

let database: TemporaryDatabase;
beforeAll(async () => {
  database = await temporaryDatabase();
  await withDemonstration(database);
});
afterAll(() => database.drop());

interface Use {
  key: string;
  letters: number;
  last_used_at: Date | null;
}

const kept = () =>
  database.sequelize.query<Use>('select key, letters, last_used_at from template order by key', {
    type: QueryTypes.SELECT,
  });
const counted = () =>
  database.sequelize.query<Use>(
    `select template.key, count(message.id)::int as letters, max(message.at) as last_used_at
     from template left join message on message.business_id = template.business_id and message.template_id = template.id
       and direction = 'out' and status not in ('draft', 'taken back')
     group by template.key order by template.key`,
    { type: QueryTypes.SELECT },
  );
const run = (sql: string) => database.sequelize.query(sql);
const useOf = async (key: string) => (await kept()).find((one) => one.key === key)!;

it('how often a template was used follows its letters', async () => {
  expect(await kept()).toEqual(await counted());
  const before = (await useOf('first-reminder')).letters;
  expect(before).toBeGreaterThan(1);
  const one = `(select id from message where template_id = (select id from template where key = 'first-reminder')
    and status in ('sent', 'delivered') order by at limit 1)`;
  await run(`create table one as ${one.slice(1, -1)}`);
  await run("update message set status = 'opened' where id = (select id from one)");
  expect((await useOf('first-reminder')).letters).toBe(before);
  await run(`update message set status = 'taken back' where id = (select id from one)`);
  expect((await useOf('first-reminder')).letters).toBe(before - 1);
  await run(`update message set status = 'delivered' where id = (select id from one)`);
  expect(await kept()).toEqual(await counted());
  await run('delete from message where id = (select id from one)');
  expect((await useOf('first-reminder')).letters).toBe(before - 1);
});

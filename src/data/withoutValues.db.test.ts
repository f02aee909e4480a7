import { inspect } from 'node:util';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { UniqueConstraintError } from 'sequelize';
import { temporaryDatabase, withDemonstration, type TemporaryDatabase } from './test/temporaryDatabase';

let database: TemporaryDatabase;
beforeAll(async () => {
  database = await temporaryDatabase();
  await withDemonstration(database);
});
afterAll(() => database.drop());

const SECRET = 'Dear Oda, between us';

it.each([
  [
    'a value of the wrong type',
    () => database.sequelize.query('select $words::uuid', { bind: { words: SECRET } }),
  ],
  [
    'a check',
    () => database.sequelize.query("update client set name = $words, key = ''", { bind: { words: SECRET } }),
  ],
  [
    'a row that is there already',
    async () => {
      const row = (await database.models.client.findOne({ raw: true })) as unknown as { business_id: string };
      await database.models.client.create({ ...row, name: SECRET } as never);
    },
  ],
  ['a query that cannot be read', () => database.sequelize.query(`select '${SECRET}' from nowhere`)],
])('an error about %s says nothing of what was asked with', async (_, ask) => {
  const error = await ask().then(
    () => undefined,
    (thrown: unknown) => thrown,
  );
  expect(error).toBeInstanceOf(Error);
  expect(inspect(error, { depth: 10, showHidden: true })).not.toContain(SECRET);
  expect((error as Error).message).not.toBe('');
});

it('and is still of its kind', async () => {
  const row = (await database.models.client.findOne({ raw: true })) as unknown as object;
  await expect(database.models.client.create(row as never)).rejects.toBeInstanceOf(UniqueConstraintError);
});

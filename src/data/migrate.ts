import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { Umzug, type UmzugStorage } from 'umzug';

/** What keeps the database from being used, in a sentence for whoever starts the application. */
class UnusableDatabase extends Error {}

/** The oldest server whose features the migrations use. */
const OLDEST_SERVER = 15;
/** Any number; all processes that migrate this application's databases share it. */
const MIGRATION_LOCK = 727_014;

/**
 * Brings the schema up to date: raw SQL files in the order of their names and the notes that they ran, all in one
 * transaction, so that a start that is killed leaves nothing half-done; under an advisory lock, so that two starts do
 * not migrate at once.
 * @returns the names of the migrations that ran now
 * @throws UnusableDatabase when the server is too old or the schema newer than this application
 */
export async function migrate(sequelize: Sequelize, folder: string): Promise<string[]> {
  await checkServer(sequelize);
  return sequelize.transaction(async (lock: Transaction) => {
    await sequelize.query(`select pg_advisory_xact_lock(${MIGRATION_LOCK})`, { transaction: lock });
    const files = (await readdir(folder)).filter((name) => name.endsWith('.sql')).sort();
    await sequelize.query('create table if not exists migration (name text primary key)', {
      transaction: lock,
    });
    const storage = storageIn(sequelize, lock);
    const umzug = new Umzug({
      migrations: files.map((name) => ({
        name,
        up: async () => {
          await sequelize.query(await readFile(path.join(folder, name), 'utf8'), { transaction: lock });
        },
      })),
      context: sequelize,
      storage,
      logger: undefined,
    });
    const unknown = (await executed(sequelize, lock)).filter((name) => !files.includes(name));
    if (unknown.length) {
      throw new UnusableDatabase(
        `The database was made by a newer version of this application (it has ${unknown.join(', ')}). Use that version, or another database.`,
      );
    }
    const ran = (await umzug.up()).map(({ name }) => name);
    await sequelize.query(LET_INDEXES_SERVE, { transaction: lock });
    return ran;
  });
}

/**
 * Row security uses an index on lower(...) only where that function is known to tell nobody of the rows that it saw, which
 * PostgreSQL leaves to whoever runs it to say. Where the owner of the tables may not say so, records are found all the same, by
 * reading more of them.
 */
const LET_INDEXES_SERVE = `do $$ begin
  if not (select proleakproof from pg_proc where oid = 'pg_catalog.lower(text)'::regprocedure) then
    alter function pg_catalog.lower(text) leakproof;
  end if;
exception when insufficient_privilege then null;
end $$`;

/** Notes of what ran, written on the connection that it ran on. */
function storageIn(sequelize: Sequelize, transaction: Transaction): UmzugStorage {
  return {
    executed: () => executed(sequelize, transaction),
    async logMigration({ name }) {
      await sequelize.query('insert into migration (name) values ($name)', { bind: { name }, transaction });
    },
    async unlogMigration({ name }) {
      await sequelize.query('delete from migration where name = $name', { bind: { name }, transaction });
    },
  };
}

async function executed(sequelize: Sequelize, transaction: Transaction): Promise<string[]> {
  const rows = await sequelize.query<{ name: string }>('select name from migration order by name', {
    transaction,
    type: QueryTypes.SELECT,
  });
  return rows.map(({ name }) => name);
}

async function checkServer(sequelize: Sequelize): Promise<void> {
  const [row] = await sequelize.query<{ version: number }>(
    "select current_setting('server_version_num')::int as version",
    { type: QueryTypes.SELECT },
  );
  const major = Math.floor((row?.version ?? 0) / 10_000);
  if (major < OLDEST_SERVER) {
    throw new UnusableDatabase(
      `The database server is PostgreSQL ${major}; ${OLDEST_SERVER} or newer is needed.`,
    );
  }
}

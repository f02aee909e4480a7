import { openDatabase } from '../data/database';
import { isEmpty, loadDemonstration, whyNotReset } from '../data/demonstration/loadDemonstration';
import { readDemonstration } from '../data/demonstration/readDemonstration';
import { inSentence } from '../data/databaseError';
import { grantTo } from '../data/grants';
import { migrate } from '../data/migrate';
import { writeLettersThatArrived } from './demonstration/writeLettersThatArrived';
import { prepareJobs } from './jobs';

export interface Preparation {
  /** the folder of the SQL migrations */
  migrations: string;
  /** the folder of the demonstration data */
  demonstration: string;
  load: 'anew' | 'if empty' | 'never';
  /** the folder of what lies in the stand-in's mailboxes: filled when the demonstration is loaded */
  mailboxes?: string;
  /** what "today" in the demonstration data is read from */
  now: number;
  /** the role that the application works as, where that is not the owner of the tables */
  role?: string;
}

/**
 * Migrates a database and loads the demonstration business as asked. Gives a line for each thing it did.
 * @throws Error with a sentence
 */
export async function prepareDatabase(
  url: string,
  { migrations, demonstration, load, mailboxes, now, role }: Preparation,
): Promise<string[]> {
  const database = openDatabase(url, { connections: 3, statementSeconds: 0 });
  try {
    const ran = await migrate(database.sequelize, migrations);
    await prepareJobs(url);
    if (role) await grantTo(database.sequelize, role);
    const done = ran.length
      ? [`The database is up to date (${ran.length} ${ran.length === 1 ? 'migration' : 'migrations'} ran).`]
      : [];
    if (load === 'anew' || (load === 'if empty' && (await isEmpty(database)))) {
      const data = await readDemonstration(demonstration, now);
      const why = load === 'anew' ? await whyNotReset(database, data) : undefined;
      if (why) throw new Error(why);
      await loadDemonstration(database, data);
      if (mailboxes) await database.acrossBusinesses(() => writeLettersThatArrived(database, mailboxes));
      done.push('The demonstration business is loaded.');
    }
    return done;
  } catch (error) {
    throw inSentence(error);
  } finally {
    await database.close();
  }
}

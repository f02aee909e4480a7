import type { Database } from '../../data/database';
import { bringingAtWork, workAtBringing } from '../../data/repositories/bringing/atWork';

/**
 * Brings the next rows in of what was given, or takes the next out of what is to go, in a transaction. Any number of processes may: each
 * file is worked at by one.
 * @returns whether there were any
 */
export async function bringNext(database: Database): Promise<boolean> {
  return database.acrossBusinesses(async () => {
    const at = await bringingAtWork(database);
    if (!at) return false;
    await workAtBringing(database, at);
    return true;
  });
}

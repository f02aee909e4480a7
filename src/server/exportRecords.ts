import type { RecordsFile } from '../core/records/recordsFile';
import { openDatabase } from '../data/database';
import { inSentence } from '../data/databaseError';
import { recordsOfBusiness } from '../data/repositories/recordsOfBusiness';

/**
 * The records of a business as the file that the command line reads.
 * @param key the business's key; may be left out where there is only one
 * @throws Error with a sentence when there is none, several to choose from, or no database
 */
export async function exportRecords(url: string, key?: string): Promise<RecordsFile> {
  const database = openDatabase(url, { connections: 5 });
  try {
    const found = (await database.models.business.findAll({
      attributes: ['id', 'key'],
      ...(key === undefined ? {} : { where: { key } }),
      raw: true,
    })) as unknown as { id: string; key: string }[];
    const [only] = found;
    if (!only)
      throw new Error(key === undefined ? 'There is no business yet.' : `There is no business “${key}”.`);
    if (found.length > 1) {
      throw new Error(
        `There are several businesses: name one with --business, of ${found.map((one) => one.key).join(', ')}.`,
      );
    }
    return (await recordsOfBusiness(database, only.id))!;
  } catch (error) {
    throw inSentence(error);
  } finally {
    await database.close();
  }
}

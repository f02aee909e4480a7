import type { RecordsFile } from '../../core/records/recordsFile';
import { openDatabase } from '../../data/database';
import { inSentence } from '../../data/databaseError';
import { picturesOfBusiness, type Picture } from '../../data/repositories/files/pictures';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { businessByKey } from '../businessByKey';
import { withPicturesNamed } from './exportPictures';

/** A business's records, and the pictures in them by the names that the records have for them. */
export interface Exported {
  records: RecordsFile;
  pictures: Map<string, Picture>;
}

/**
 * The records of a business as the file that the command line reads, and its pictures.
 * @param key the business's key; may be left out where there is only one
 * @throws Error with a sentence when there is none, several to choose from, or no database
 */
export async function exportRecords(url: string, key?: string): Promise<Exported> {
  const database = openDatabase(url, { connections: 5, across: true });
  try {
    const only = await businessByKey(database, key);
    const records = (await recordsOfBusiness(database, only.id))!;
    const sources = new Set<string>();
    withPicturesNamed(records, (source) => (sources.add(source), source));
    return { records, pictures: await picturesOfBusiness(database, only.id, [...sources]) };
  } catch (error) {
    throw inSentence(error);
  } finally {
    await database.close();
  }
}

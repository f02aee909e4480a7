import type { RecordsFile } from '../../core/records/recordsFile';
import { openDatabase } from '../../data/database';
import { inSentence } from '../../data/databaseError';
import { picturesOfBusiness, type Picture } from '../../data/repositories/pictures';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
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

import { RecordBook } from '../../core/records/recordBook';
import type { StartingPoint } from '../../core/records/which/situation';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { scopeFrom, startingRecord } from '../../data/repositories/startingRecords';
import { now } from '../clock';
import { connection } from '../connection';

/** The records that a paper about one is made of. Undefined: there is no such record. */
export async function bookAbout(business_id: string, start: StartingPoint): Promise<RecordBook | undefined> {
  const record = await startingRecord(connection(), business_id, start);
  if (!record) return undefined;
  return new RecordBook((await recordsOfBusiness(connection(), business_id, scopeFrom(record)))!, now());
}

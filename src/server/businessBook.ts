import { RecordBook } from '../core/records/recordBook';
import { recordsOfBusiness } from '../data/repositories/recordsOfBusiness';
import { now } from './clock';
import { connection } from './connection';

/** A business without its clients: how its dates and sums are written, its working days, what it calls a booking. */
export async function businessBook(business_id: string): Promise<RecordBook> {
  return new RecordBook((await recordsOfBusiness(connection(), business_id, { clients: [] }))!, now());
}

import { RecordBook } from '../core/records/recordBook';
import type { OwnRows } from '../data/repositories/ownRows';
import { recordsOfBusiness } from '../data/repositories/recordsOfBusiness';
import { now } from './clock';
import { connection } from './connection';

/**
 * A business without its clients: how its dates and sums are written, its working days, what it calls a booking.
 * @param known its own rows, where they were read before
 */
export async function businessBook(business_id: string, known?: OwnRows): Promise<RecordBook> {
  const records = await recordsOfBusiness(connection(), business_id, { clients: [] }, known);
  return new RecordBook(records!, now());
}

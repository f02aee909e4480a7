import { addPayment, type NewPayment } from '../data/repositories/payments';
import { startingRecord } from '../data/repositories/startingRecords';
import { connection } from './connection';
import type { CurrentMember } from './currentMember';

/** Writes down that something was paid. `overtaken`: the invoice is no longer as it was seen. */
export async function recordPayment(
  { business_id }: CurrentMember,
  key: string,
  version: number,
  payment: NewPayment,
): Promise<'recorded' | 'overtaken' | 'gone'> {
  if (await addPayment(connection(), business_id, key, version, payment)) return 'recorded';
  return (await startingRecord(connection(), business_id, { kind: 'invoice', key })) ? 'overtaken' : 'gone';
}

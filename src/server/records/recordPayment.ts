import type { PaymentToUndo, Recording } from '../../core/contract/payments';
import { addPayment, removePayment, type NewPayment } from '../../data/repositories/payments';
import { startingRecord } from '../../data/repositories/startingRecords';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';

/** Writes down that something was paid. */
export const recordPayment = forMember(
  async (
    { business_id }: CurrentMember,
    key: string,
    version: number,
    payment: NewPayment,
    more?: boolean,
  ): Promise<Recording> => {
    const added = await addPayment(connection(), business_id, key, version, payment, more ?? false);
    if (added) return added;
    const there = await startingRecord(connection(), business_id, { kind: 'invoice', key });
    return { result: there ? 'overtaken' : 'gone' };
  },
);

/** Takes a payment away again that has just been written down. Gives whether it could. */
export const undoPayment = forMember(
  async ({ business_id }: CurrentMember, key: string, payment: PaymentToUndo): Promise<boolean> => {
    return removePayment(connection(), business_id, key, payment);
  },
);

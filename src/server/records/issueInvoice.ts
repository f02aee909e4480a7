import type { InvoiceChanging } from '../../core/contract/invoices';
import { isoOf } from '../../core/dates/civil';
import { dayAt } from '../../core/dates/zone';
import { issueInvoice as issue, voidInvoice } from '../../data/repositories/invoices';
import { startingRecord } from '../../data/repositories/startingRecords';
import { zoneOfBusiness } from '../../data/repositories/zoneOfBusiness';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** Issues a draft, or makes an issued invoice void. */
export const changeInvoice = forMember(
  async (
    { business_id }: CurrentMember,
    key: string,
    version: number,
    to: 'sent' | 'void',
  ): Promise<InvoiceChanging> => {
    const database = connection();
    if (to === 'void') {
      if (await voidInvoice(database, business_id, key, version)) return { result: 'done' };
    } else {
      const zone = await zoneOfBusiness(database, business_id);
      const issuing = await issue(database, business_id, key, version, isoOf(dayAt(now(), zone)));
      if (issuing.result === 'issued') return { result: 'done', number: issuing.number };
      if (issuing.result === 'empty')
        return { result: 'wrong', error: 'It has no line yet: write down what it is for first.' };
    }
    const there = await startingRecord(database, business_id, { kind: 'invoice', key });
    return there
      ? {
          result: 'overtaken',
          error: 'Somebody has changed this invoice since you opened it. Look at it again.',
        }
      : { result: 'gone', error: 'There is no such invoice.' };
  },
);

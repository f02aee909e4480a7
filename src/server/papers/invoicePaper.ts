import { invoiceFileName } from '../../core/papers/paperNames';
import { RecordBook } from '../../core/records/recordBook';
import type { InvoiceData } from '../../core/records/recordsFile';
import { picturesOfBusiness } from '../../data/repositories/files/pictures';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { scopeFrom, startingRecord } from '../../data/repositories/startingRecords';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { printInvoice } from './printInvoice';

/** A paper ready to be sent or kept. */
export interface MadePaper {
  name: string;
  content: Buffer;
}

/** An invoice as a PDF. Undefined: there is no such invoice. */
export const invoicePaper = forMember(
  async ({ business_id }: CurrentMember, key: string): Promise<MadePaper | undefined> => {
    const database = connection();
    const start = { kind: 'invoice', key } as const;
    const record = await startingRecord(database, business_id, start);
    if (!record) return undefined;
    const records = await recordsOfBusiness(database, business_id, scopeFrom(start, record));
    const book = new RecordBook(records!, now());
    return paperOfInvoice(business_id, book, book.invoices.get(key)!);
  },
);

/** The same for one whose records are at hand. */
export async function paperOfInvoice(
  business_id: string,
  book: RecordBook,
  invoice: InvoiceData,
): Promise<MadePaper> {
  const { logo } = book.business;
  const picture = logo ? (await picturesOfBusiness(connection(), business_id, [logo])).get(logo) : undefined;
  return { name: invoiceFileName(invoice), content: await printInvoice(book, invoice, picture) };
}

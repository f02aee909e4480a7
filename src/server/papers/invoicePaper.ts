import { invoiceFileName } from '../../core/papers/paperNames';
import type { RecordBook } from '../../core/records/recordBook';
import type { InvoiceData } from '../../core/records/recordsFile';
import { picturesOfBusiness } from '../../data/repositories/files/pictures';
import { connection } from '../connection';
import { bookAbout } from './bookAbout';
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
    const book = await bookAbout(business_id, { kind: 'invoice', key });
    return book && paperOfInvoice(business_id, book, book.invoices.get(key)!);
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

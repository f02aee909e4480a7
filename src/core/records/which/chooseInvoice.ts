import type { RecordBook } from '../recordBook';
import type { ClientData, InvoiceData, ProjectData } from '../recordsFile';
import { choice, rank, type Choice } from './choice';

/**
 * The project's oldest unpaid invoice, else its newest, else the client's by the same rule. Void ones are never
 * taken, drafts only when the client has nothing else.
 */
export function invoiceOf(
  book: RecordBook,
  project: ProjectData | undefined,
  client: ClientData | undefined,
): Choice<InvoiceData> | undefined {
  const ofProject = book.ofProject(project).invoices;
  const ofClient = book.ofClient(client).invoices;
  return (
    oldestUnpaidElseNewest(book, ofProject.filter(isSent), ' for this project') ??
    oldestUnpaidElseNewest(book, ofClient.filter(isSent), '') ??
    newestDraft(ofProject) ??
    newestDraft(ofClient)
  );
}

function oldestUnpaidElseNewest(
  book: RecordBook,
  invoices: InvoiceData[],
  whose: string,
): Choice<InvoiceData> | undefined {
  const unpaid = book.unpaid(invoices);
  if (unpaid.length) {
    return choice(unpaid[0], rank('oldest', unpaid, 'unpaid invoice', 'unpaid invoices') + whose, invoices);
  }
  return choice(invoices.at(-1), rank('newest', invoices, 'invoice', 'invoices') + whose, invoices);
}

function newestDraft(invoices: readonly InvoiceData[]): Choice<InvoiceData> | undefined {
  const drafts = invoices.filter((invoice) => invoice.status === 'draft');
  return choice(drafts.at(-1), 'a draft, as there is no other invoice', drafts);
}

function isSent(invoice: InvoiceData): boolean {
  return invoice.status !== 'void' && invoice.status !== 'draft';
}

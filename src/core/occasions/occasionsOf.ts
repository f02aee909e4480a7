import type { PastLetter } from '../fitting/fittingTemplates';
import type { RecordBook } from '../records/recordBook';
import type { StartingPoint } from '../records/which/situation';
import { OCCASION_DEFAULTS, type Occasion, type OccasionRule, type OccasionSettings } from './occasion';
import { pastLettersOf } from './pastLetters';
import { enquiryWaiting } from './rules/enquiryWaiting';
import { instalmentDue } from './rules/instalmentDue';
import { invoiceOverdue } from './rules/invoiceOverdue';
import { invoiceSent } from './rules/invoiceSent';
import { jobFinished } from './rules/jobFinished';
import { paymentReceived } from './rules/paymentReceived';
import { visitAhead } from './rules/visitAhead';
import { visitToConfirm } from './rules/visitToConfirm';

const RULES: readonly OccasionRule[] = [
  visitAhead,
  enquiryWaiting,
  visitToConfirm,
  paymentReceived,
  invoiceOverdue,
  instalmentDue,
  invoiceSent,
  jobFinished,
];

/** What is worth writing today, the most pressing first. A record has one occasion at a time. */
export function occasionsOf(
  book: RecordBook,
  letters: readonly PastLetter[],
  settings: OccasionSettings = OCCASION_DEFAULTS,
): Occasion[] {
  const past = pastLettersOf(letters, book);
  const found = RULES.flatMap((rule) => rule(book, past, settings))
    .filter(({ start }) => !asksForNone(book, start))
    .sort((a, b) => a.rank - b.rank);
  const taken = new Set<string>();
  return found.filter(({ start }) => {
    const key = `${start.kind}:${start.key}`;
    return !taken.has(key) && taken.add(key);
  });
}

/** Whether a record is of a client who asked for no letters. */
function asksForNone(book: RecordBook, { kind, key }: StartingPoint): boolean {
  const records = {
    client: book.clients,
    enquiry: book.enquiries,
    project: book.projects,
    booking: book.bookings,
    invoice: book.invoices,
  } as const;
  const record = records[kind].get(key) as { key: string; client?: string } | undefined;
  const client = book.clients.get(kind === 'client' ? key : (record?.client ?? ''));
  return client?.no_letters_since !== undefined;
}

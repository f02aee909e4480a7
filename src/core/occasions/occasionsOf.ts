import type { PastLetter } from '../fitting/fittingTemplates';
import type { RecordBook } from '../records/recordBook';
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
  const found = RULES.flatMap((rule) => rule(book, past, settings)).sort((a, b) => a.rank - b.rank);
  const taken = new Set<string>();
  return found.filter(({ start }) => {
    const key = `${start.kind}:${start.key}`;
    return !taken.has(key) && taken.add(key);
  });
}

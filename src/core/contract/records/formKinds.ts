import type { FactsOf } from './recordForms';

/** A kind of record that is written by hand. */
export type FormKind = keyof FactsOf;

const FORM_KINDS: Readonly<Record<FormKind, true>> = {
  client: true,
  enquiry: true,
  project: true,
  booking: true,
  invoice: true,
  partner: true,
};

/** Whether a word names a kind of record that is written by hand. */
export function isFormKind(word: string): word is FormKind {
  return Object.hasOwn(FORM_KINDS, word);
}

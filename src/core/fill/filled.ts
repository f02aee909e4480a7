import type { HoleKind } from '../document/copyDocument';

/** What one smart field said, where it came from and why. One for each occurrence. */
export interface Note {
  /** names the occurrence: the same for the same field of one template, whatever the records */
  id: string;
  path: string;
  /** what the interface calls the field */
  label: string;
  /** what it is called beside the letter, steps that make another fact of it included: "half of what is still to pay" */
  said: string;
  /** as it stands in the text */
  value: string;
  /** before any step: ISO dates and moments, minor units, text */
  raw: unknown;
  /** what was done to it, as it is written: "share 50%" */
  steps: readonly string[];
  /** `invoice:K-101`; absent for today and now */
  record?: string;
  /** "the oldest of 2 unpaid invoices" */
  reason: string;
}

/** A place where something is missing. Its text shows the label in brackets. */
export interface Hole {
  id: string;
  kind: HoleKind;
  path: string;
  label: string;
  file: string;
  line: number;
  column: number;
  /** what is missing, in words */
  reason: string;
}

/** Somebody that a letter comes from or goes to; an address that is missing is empty. */
export interface Addressee {
  name: string;
  email: string;
}

/** What a filling gives besides what was written. */
export interface FillResult {
  /** header lines the template asks for, filled; absent where it does not. Addresses in them are read by addressingOf */
  replyTo?: string;
  copy?: string;
  blindCopy?: string;
  notes: Note[];
  holes: Hole[];
}

/** A template filled for one situation. */
export interface Filled extends FillResult {
  subject: string;
  text: string;
  /** where in the text the signature begins that it ends with; absent where it does not end with one */
  signatureAt?: number;
  /** a fragment with inline styles */
  html: string;
}

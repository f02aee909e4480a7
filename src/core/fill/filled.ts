/** What one smart field said, where it came from and why. One for each occurrence. */
export interface Note {
  path: string;
  /** what the interface calls the field */
  label: string;
  /** as it stands in the text */
  value: string;
  /** before any step: ISO dates and moments, minor units, text */
  raw: unknown;
  /** `invoice:K-101`; absent for today and now */
  record?: string;
  /** "the oldest of 2 unpaid invoices" */
  reason: string;
}

/** A place where something is missing. Its text shows the label in brackets. */
export interface Hole {
  path: string;
  label: string;
  file: string;
  line: number;
  column: number;
  /** what is missing, in words */
  reason: string;
}

export interface Addressee {
  name: string;
  email: string;
}

/** A template filled for one situation. */
export interface Filled {
  subject: string;
  to: Addressee[];
  copies: Addressee[];
  /** header lines the template asks for, filled; absent where it does not */
  replyTo?: string;
  copy?: string;
  blindCopy?: string;
  text: string;
  /** a fragment with inline styles */
  html: string;
  notes: Note[];
  holes: Hole[];
}

import type { Addressing } from '../addressing/addressingOf';
import type { Note } from '../fill/filled';
import type { Situation } from '../records/which/situation';
import type { MemberData } from '../records/recordsFile';
import type { TemplateHead } from '../template/template';
import type { Along } from '../writing/goesAlong';

/** A stop must be cured before the letter goes; a query may be let stand. */
export interface ProofMark {
  kind: 'stop' | 'query';
  /** the same for the same thing in the same letter: a query that was let stand is known by it */
  id: string;
  message: string;
  /** the hole that it is about */
  hole?: string;
  /** something the template attaches, which may be left out of this letter */
  attachment?: string;
}

/** What is checked: a filled template, or the page as its writer has left it. */
export interface Proofed {
  head: TemplateHead;
  /** whether the template is meant for the records as they are */
  fits: boolean;
  subject: string;
  addressing: Addressing;
  /** what the fields say that stand in the letter */
  notes: readonly Note[];
  /** the signatures that stand in it, each with whose it is; undefined: nobody's any more */
  signatures: readonly { whose: MemberData | undefined }[];
  /** what is still missing, each with its reason in words */
  holes: readonly { id: string; reason: string }[];
  /** what its template has go along */
  along: readonly Along[];
  /** what of that its writer has left out */
  leftOut: readonly string[];
}

/** One check of a fair copy. */
export type Check = (letter: Proofed, situation: Situation) => ProofMark[];

import type { Addressing } from '../addressing/addressingOf';
import type { Note } from '../fill/filled';
import type { PastLetter } from '../fitting/fittingTemplates';
import type { Situation } from '../records/which/situation';
import type { MemberData } from '../records/recordsFile';
import type { Paper } from '../template/papers';
import type { TemplateHead } from '../template/template';
import type { Along } from '../writing/goesAlong';
import type { Line } from './reading/lines';
import type { PromisedDay } from './reading/promisedDays';

/** A stop must be cured before the letter goes; a query may be let stand. */
export interface ProofMark {
  kind: 'stop' | 'query';
  /** the same for the same thing in the same letter: a query that was let stand is known by it */
  id: string;
  message: string;
  /** the hole that it is about */
  hole?: string;
  /** the words that it is about */
  at?: Place;
  /** what puts it right in one press */
  cure?: Cure;
}

/** Words of a letter, by their line and their place in it in UTF-16 units. */
export interface Place {
  line: number;
  from: number;
  to: number;
}

/** What a mark can be cured by, with what its button says. */
type Cure = { words: string } &
  /** other words at its place; none: they are taken out */
  (
    | { put: string }
    /** something that goes along does not */
    | { leaveOut: string }
    /** a paper goes along */
    | { attach: Paper }
  );

/** What is checked: a filled template, or the page as its writer has left it. */
export interface Proofed {
  head: TemplateHead;
  /** the template's key; absent: it is not kept */
  template?: string;
  /** BCP 47: what it is written in */
  language: string;
  /** whether the template is meant for the records as they are */
  fits: boolean;
  subject: string;
  /** as it stands */
  lines: readonly Line[];
  /** as the template and the records have it, before any word was changed */
  asFilled: readonly Line[];
  addressing: Addressing;
  /** what the fields say that stand in the letter, and all that were filled */
  notes: readonly Note[];
  allNotes: readonly Note[];
  /** the signatures that stand in it, each with whose it is; undefined: nobody's any more */
  signatures: readonly { whose: MemberData | undefined }[];
  /** what is still missing, each with its reason in words */
  holes: readonly { id: string; reason: string }[];
  /** what goes along, and the ids of what of it its writer has left out */
  along: readonly Along[];
  leftOut: readonly string[];
  /** what was written before to this client */
  letters: readonly PastLetter[];
  /** within so many days the same letter to the same person is asked about */
  sameLetterDays: number;
  /** what in its words is another client's */
  others: readonly OfAnother[];
  /** the days that it offers, and which days are not free */
  promised: readonly PromisedDay[];
  taken: readonly TakenDay[];
}

/** Words of a letter that are on another client's record. */
export interface OfAnother {
  words: string;
  /** “the name of”, “an address of” */
  what: string;
  name: string;
}

/** A day that is not free. */
export interface TakenDay {
  /** ISO */
  day: string;
  /** “Wednesday 9 December: 2 visits, nothing for Teo” */
  words: string;
}

/** What was looked up about a letter. */
export interface LookedUp {
  others: readonly OfAnother[];
  taken: readonly TakenDay[];
}

/** Nothing was looked up, or nothing was found. */
export const NOTHING_KNOWN: LookedUp = { others: [], taken: [] };

/** One check of a fair copy. */
export type Check = (letter: Proofed, situation: Situation) => ProofMark[];

import type { AddedFile } from '../contract/along';
import type { CopyDocument } from '../document/copyDocument';
import type { SaidOtherwise } from '../fill/compile/saidOtherwise';
import type { Paper } from '../template/papers';
import type { Replying } from './reply';

/** What its writer decided for a letter; everything left out follows by rule. All of it is data, nothing is a record. */
export interface Choices {
  /** the template's key */
  template: string;
  /** templates whose words were put into it, in their order on the page */
  putIn?: PutIn[];
  /** keys of records taken instead of those the rule takes */
  project?: string;
  booking?: string;
  invoice?: string;
  /** `contact:hale`, `client:college`, `partner:mover`, `member:teo` */
  recipients?: string[];
  /** blanks as they were typed, by name */
  answers: Record<string, string>;
  /** queries of the proof that are let stand, by their ids */
  stets?: string[];
  /** what the template attaches and this letter does not */
  leftOut?: string[];
  /** what goes along besides: files, and what is made of the records */
  added?: AddedFile[];
  papers?: Paper[];
  /** what fields of it say, by the names of their parts, where it is not what the template has them say */
  saidOtherwise?: Record<string, SaidOtherwise>;
  /** the days that it offers are not held, though it names a day until which they are */
  notHeld?: true;
  /** the message that it answers */
  reply?: Replying;
  /** when it goes, ISO 8601, and as of when it is filled; absent: now */
  goesAt?: string;
}

/** So many can be put into one letter. */
export const MOST_PUT_IN = 5;

/** A template that was put into a letter from another one. */
export interface PutIn {
  /** its key */
  template: string;
  /** which version of it */
  version: number;
  /** the part of the letter's own template that it stands behind; absent: before the signature */
  behind?: string;
}

/** The keys of all templates that a letter is of. */
export function templatesOf({ template, putIn = [] }: Pick<Choices, 'template' | 'putIn'>): string[] {
  return [template, ...putIn.map((one) => one.template)];
}

/** Other choices for a letter: one that goes now has no time of its own, and one whose days are held says nothing of it. */
export type ChangedChoices = Omit<Partial<Choices>, 'goesAt' | 'notHeld'> & {
  goesAt?: string | undefined;
  notHeld?: true | undefined;
};

/** A letter being written: what was decided, and the page with whatever was changed by hand. */
export interface Letter {
  choices: Choices;
  document: CopyDocument;
}

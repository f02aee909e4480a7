import type { StartingKind } from '../records/recordKind';
import type { Act } from './acts';
import type { Line, TemplateDocument } from '../document/templateDocument';
import type { Condition } from '../document/step';

/** Whom a letter can be meant for. */
export const WRITTEN_TO = ['client', 'partner', 'member'] as const;
export type WrittenTo = (typeof WRITTEN_TO)[number];

/** What the head of a template's file says. Lines may hold fields. */
export interface TemplateHead {
  name: string;
  group: string;
  startsFrom: StartingKind;
  subject: Line;
  /** whom the letter is for; absent: a client, or whoever it starts from */
  writtenTo?: WrittenTo;
  /** who the letter comes from: whoever writes, whoever is responsible for the client or job, or the business */
  from?: 'writer' | 'responsible' | 'house';
  replyTo?: Line;
  copy?: Line;
  blindCopy?: Line;
  attach?: string[];
  /** a signature, or "none": by its key where it is kept, by its name in its text form */
  signature?: string;
  /** whether the house's letterhead is left out */
  letterhead?: 'none';
  /** a BCP 47 tag; dates and sums are written so */
  language?: string;
  note?: string;
  /** offered only when this holds of the records it starts from */
  fitsWhen?: Condition;
  /** the act of the work it belongs to, and whether it is the first of those */
  action?: { act: Act; first: boolean };
  resting?: boolean;
  kind?: 'letter' | 'text';
  mine?: boolean;
}

/** A template: its head and its words. */
export interface Template {
  head: TemplateHead;
  document: TemplateDocument;
}

/** A template as it is kept: its key, and which version of it. */
export interface KeptTemplate extends Template {
  key: string;
  version: number;
}

/** What templates call by a name, which may change: what was written with a former one still means it. */
export interface Called {
  name: string;
  /** what it was called before */
  formerly?: readonly string[];
}

/** What letters are signed with: a member's own, or the house's, which is filled with whoever writes. */
export interface Signature extends Called {
  /** what templates refer to it by, where they are kept */
  key: string;
  /** whose, by key; absent: the house's */
  member?: string;
  /** whether it stands where none is asked for by name: under its member's letters, or those of members with none */
  usual: boolean;
  /** paragraphs alone */
  document: TemplateDocument;
}

/** What the house puts around every letter. */
export interface Letterhead {
  top?: TemplateDocument;
  foot?: TemplateDocument;
}
export type LetterheadPart = keyof Letterhead;

/** Text shared by many templates. */
export interface Passage extends Called {
  /** what templates refer to it by, where they are kept */
  key: string;
  document: TemplateDocument;
}

/** Characters that turn into longer text while somebody types. */
export interface Shorthand {
  key: string;
  /** the characters */
  name: string;
  /** the group that it stands in, by its name */
  group?: string;
  /** only for whoever writes, and not for the whole house */
  own?: true;
  document: TemplateDocument;
}

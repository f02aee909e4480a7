import type { StartingKind } from '../records/recordKind';
import type { Line, TemplateDocument } from './document';

/** What the head of a template's file says. Lines may hold fields. */
export interface TemplateHead {
  name: string;
  group: string;
  startsFrom: StartingKind;
  subject: Line;
  /** who the letter comes from: whoever writes, whoever is responsible for the client or job, or the business */
  from?: 'writer' | 'responsible' | 'house';
  replyTo?: Line;
  copy?: Line;
  blindCopy?: Line;
  attach?: string[];
  /** a signature's name, or "none" */
  signature?: string;
  /** a BCP 47 tag; dates and sums are written so */
  language?: string;
  note?: string;
  resting?: boolean;
  kind?: 'letter' | 'text';
  mine?: boolean;
}

export interface Template {
  head: TemplateHead;
  document: TemplateDocument;
}

/** Text shared by many templates. */
export interface Passage {
  name: string;
  document: TemplateDocument;
}

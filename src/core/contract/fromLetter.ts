import type { Line, TemplateDocument } from '../document/templateDocument';
import type { Find } from '../recognise/find';
import type { LetterText } from '../recognise/letterText';
import type { StartingPoint } from '../records/which/situation';
import type { WritingFacts } from '../writing/writingDesk';
import type { MetadataJson } from 'libphonenumber-js/core';

/** A letter that a template is made of. */
export interface LetterForTemplate {
  /** absent: it is none of those that were sent here */
  id?: string;
  subject: Line;
  document: TemplateDocument;
  /** what it was written from */
  start: StartingPoint;
  /** when, in milliseconds: what “today” was */
  at: number;
  /** the key of whoever wrote it */
  member: string;
  /** whom it went to, and when, in words */
  to: string;
  day: string;
}

/** What a worker is asked: which facts a letter has. */
export interface AskRecognise {
  facts: WritingFacts;
  phones: MetadataJson;
  start: StartingPoint;
  letter: Pick<LetterText, 'text' | 'links' | 'listed'>;
}

/** What was found, with the language it is in where that is not the business’s; or why nothing could be. */
export type ToldRecognised = { finds: Find[]; language?: string } | { failed: string };

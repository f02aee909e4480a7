import type { Line, TemplateDocument } from '../document/templateDocument';
import type { Find } from '../recognise/find';
import type { ToldFact } from '../recognise/withTold';
import type { LetterText } from '../recognise/letterText';
import type { StartingKind } from '../records/recordKind';
import type { RecordsFile } from '../records/recordsFile';
import type { Signature } from '../template/template';
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
  /** what its fields said, where that is known */
  told?: readonly ToldFact[];
}

/** The records that a worker looks for in letters. */
export interface RecordsToFind {
  facts: WritingFacts;
  phones: MetadataJson;
  start: StartingPoint;
}

/** What a worker is asked: to make ready for letters of a kind; which facts of some records, or of those before, a letter has. */
export type AskRecognise =
  | { business: RecordsFile['business']; signatures: readonly Signature[]; startsFrom: StartingKind }
  | { records?: RecordsToFind; letter: Pick<LetterText, 'text' | 'links' | 'listed'> };

/** What was found, with the language it is in where that is not the business’s; or why nothing could be. */
export type ToldRecognised = { finds: Find[]; language?: string } | { failed: string };

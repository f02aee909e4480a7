import type { Day } from '../dates/civil';
import type { RecordBook } from '../records/recordBook';
import type { StartingPoint } from '../records/which/situation';
import type { Act } from '../template/acts';
import type { PastLetters } from './pastLetters';

/** A reason to write to someone now, worked out from the records. */
export interface Occasion {
  /** the act of the work it belongs to: templates of the same act are offered */
  act: Act;
  start: StartingPoint;
  /** the day it began: the same record can have another of its kind later */
  since: Day;
  /** whom it is about */
  name: string;
  /** "Tuning visit tomorrow at 09:30" */
  reason: string;
  /** the key of the member whose work it is, where the records say so */
  member?: string;
  /** the smaller, the sooner something should be written */
  rank: number;
}

/** What the business has settled about its occasions. */
export interface OccasionSettings {
  /** days between one reminder of an invoice and the next letter about it */
  reminderSpacing: number;
}

/** What holds for a business that has settled nothing. */
export const OCCASION_DEFAULTS: OccasionSettings = { reminderSpacing: 7 };

/** One rule of what is worth writing: what begins an occasion and what ends it stands in each rule's file. */
export type OccasionRule = (book: RecordBook, letters: PastLetters, settings: OccasionSettings) => Occasion[];

/** Names an occasion: the same as long as it lasts, another when its like begins anew. */
export function occasionId({ act, start, since }: Pick<Occasion, 'act' | 'start' | 'since'>): string {
  return `${act} ${start.kind}:${start.key} ${since}`;
}

import type { WritingAnswer } from './writing';
import type { RecordsFile } from '../records/recordsFile';

/** So many clients come at once, and unasked. */
export const CLIENTS_AT_ONCE = 500;

/** Clients with all that is theirs, in the order of their keys: what `/api/records?after=<key>` gives. */
export interface RecordsPage {
  records: RecordsFile;
  /** milliseconds: what "today" and "now" are read from */
  now: number;
  member: string;
  /** how the telephone numbers in them are written */
  phones: WritingAnswer['phones'];
  /** how many clients there are */
  clients: number;
  /** the key of the last one, where others follow */
  next?: string;
}

/** What `/api/records?few` gives: the first clients where there are no others, else only how many there are. */
export type FewRecords = RecordsPage | { clients: number };

import { recordView, type RecordView } from '../core/describe/recordView';
import { RecordBook } from '../core/records/recordBook';
import type { StartingPoint } from '../core/records/which/situation';
import { lettersOf, type KeptLetter, type LetterFilter } from '../data/repositories/letters';
import { recordsOfBusiness } from '../data/repositories/recordsOfBusiness';
import { scopeFrom, startingRecord } from '../data/repositories/startingRecords';
import { now } from './clock';
import { connection } from './connection';
import type { CurrentMember } from './currentMember';

export interface RecordPage {
  view: RecordView;
  letters: KeptLetter[];
}

/** So many letters stand on a record's page; the others are in Post. */
const MOST_LETTERS = 50;

/** A record with its facts and its letters. Undefined: there is no such record. */
export async function recordPage(
  { business_id }: CurrentMember,
  start: StartingPoint,
): Promise<RecordPage | undefined> {
  const database = connection();
  const record = await startingRecord(database, business_id, start);
  if (!record) return undefined;
  const filter: LetterFilter =
    start.kind === 'client' ? { client_id: record.id } : { about: { kind: start.kind, id: record.id } };
  const [records, letters] = await Promise.all([
    recordsOfBusiness(database, business_id, scopeFrom(start, record)),
    lettersOf(database, business_id, filter, MOST_LETTERS),
  ]);
  const view = recordView(new RecordBook(records!, now()), start);
  return view && { view, letters };
}

import { readOpenedMark } from '../../core/incoming/openedMark';
import { noteOpened as note } from '../../data/repositories/incoming/noteDelivery';
import { now } from '../clock';
import { connection } from '../connection';

/** Writes down, once, that the small picture of a letter was fetched. @param mark as it stands in the letter */
export async function noteOpened(mark: string): Promise<void> {
  const letter = readOpenedMark(mark);
  if (!letter) return;
  await connection().inBusiness(letter.business_id, () => note(connection(), letter, new Date(now())));
}

import { lettersOf, type KeptLetter } from '../data/repositories/letters';
import { connection } from './connection';
import type { CurrentMember } from './currentMember';

/** So many letters stand in Post. */
export const MOST_IN_POST = 200;

/** What is going, gone, come back and come in, newest first. */
export async function post({ business_id }: CurrentMember): Promise<KeptLetter[]> {
  return lettersOf(connection(), business_id, {}, MOST_IN_POST);
}

import { lettersOf, type KeptLetter } from '../data/repositories/letters';
import { connection } from './connection';
import type { CurrentMember } from './currentMember';
import { forMember } from './forMember';

/** So many letters stand in Post. */
export const MOST_IN_POST = 200;

/** So many that need somebody stand before them. */
const MOST_THAT_NEED = 100;

/** What needs somebody, however old; then what is going, gone, come back and come in, newest first. */
export const post = forMember(async ({ business_id }: CurrentMember): Promise<KeptLetter[]> => {
  const [needing, newest] = await Promise.all([
    lettersOf(connection(), business_id, { needsSomebody: true }, MOST_THAT_NEED),
    lettersOf(connection(), business_id, {}, MOST_IN_POST),
  ]);
  const first = new Set(needing.map(({ id }) => id));
  return [...needing, ...newest.filter(({ id }) => !first.has(id))];
});

import { searchForms } from '../../core/searching/searchWays';
import { foundLetters, lettersOf, type KeptLetter } from '../../data/repositories/letters';
import { localeOfBusiness } from '../../data/repositories/localeOfBusiness';
import { connection } from '../connection';
import { forMember } from '../forMember';

/** So many are found; more words find the others. */
const MOST = 50;
const MOST_WORDS = 12;

/** The newest letters whose subject, words, sender, client or readers have all of some words. */
export const findLetters = forMember(async ({ business_id }, find: string): Promise<KeptLetter[]> => {
  const database = connection();
  const wanted = searchForms(find, await localeOfBusiness(database, business_id)).slice(0, MOST_WORDS);
  const ids = await foundLetters(database, wanted, MOST);
  return ids.length ? lettersOf(database, business_id, { ids }, MOST) : [];
});

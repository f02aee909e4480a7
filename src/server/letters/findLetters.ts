import { searchForms } from '../../core/searching/searchWays';
import { lettersOf, type KeptLetter } from '../../data/repositories/letters';
import { foundLetters, foundNarrowed } from '../../data/repositories/lettersByWords';
import { localeOfBusiness } from '../../data/repositories/localeOfBusiness';
import { isNarrowed, type LetterNarrowing } from '../../core/contract/letterNarrowing';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';

/** So many are found; more words find the others. */
const MOST = 50;
const MOST_WORDS = 12;

/** Of so many that have the words those are told that a narrowing leaves, where it leaves many and few have the words. */
const MOST_NARROWED = 2000;

/** The newest letters whose subject, words, sender, client or readers have all of some words. */
export const findLetters = forMember(
  async ({ business_id }, find: string, narrowing: LetterNarrowing = {}): Promise<KeptLetter[]> => {
    const database = connection();
    const wanted = searchForms(find, await localeOfBusiness(database, business_id)).slice(0, MOST_WORDS);
    const at = new Date(now());
    const ids = isNarrowed(narrowing)
      ? await narrowedIds(business_id, wanted, narrowing, at)
      : await foundLetters(database, wanted, MOST);
    if (ids.length === 0) return [];
    return lettersOf(database, business_id, { ids, narrowing, now: at }, MOST);
  },
);

async function narrowedIds(
  business_id: string,
  wanted: string[][],
  narrowing: LetterNarrowing,
  now: Date,
): Promise<string[]> {
  if (wanted.length === 0) return [];
  const { ids, all } = await foundNarrowed(connection(), business_id, { wanted, narrowing, now }, MOST);
  return all || ids.length === MOST ? ids : foundLetters(connection(), wanted, MOST_NARROWED);
}

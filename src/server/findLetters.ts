import { wordsWanted } from '../core/searching/finder';
import { lettersOf, type KeptLetter } from '../data/repositories/letters';
import { connection } from './connection';
import type { CurrentMember } from './currentMember';
import { forMember } from './forMember';

/** So many are found; more words find the others. */
const MOST = 50;
const MOST_WORDS = 12;

/** The newest letters whose subject, words, sender, client or readers have all of some words. */
export const findLetters = forMember(
  async ({ business_id }: CurrentMember, find: string): Promise<KeptLetter[]> => {
    const words = wordsWanted(find).slice(0, MOST_WORDS);
    return words.length ? lettersOf(connection(), business_id, { words }, MOST) : [];
  },
);

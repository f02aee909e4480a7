import { lettersOfKinds } from '../../data/repositories/letters';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import type { NeedsSomebody } from '../../core/contract/letters';
import { showLetters } from '../letters/showLetters';
import { lettersWaiting } from './sendingState';
import { forMember } from '../forMember';

/** So many stand on a page; the next follow when these are dealt with. */
const MOST = 20;

/** The letters of the business that did not go as they should, and what keeps others from going. */
export const needsSomebody = forMember(async (member: CurrentMember): Promise<NeedsSomebody> => {
  const [[letters = []], waiting] = await Promise.all([
    lettersOfKinds(connection(), member.business_id, ['needs somebody'], MOST + 1),
    lettersWaiting(member),
  ]);
  return {
    letters: await showLetters(member, letters.slice(0, MOST)),
    more: letters.length > MOST,
    waiting,
  };
});

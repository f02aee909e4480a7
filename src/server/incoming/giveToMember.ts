import { giveMessage } from '../../data/repositories/incoming/tieMessages';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { isLetterId } from '../letters/oneLetter';
import type { CurrentMember } from '../signIn/currentMember';

/**
 * Gives a message that came in to a member by their key, or to nobody in particular.
 * @returns whether it still was as it was seen, and there is such a member
 */
export const giveToMember = forMember(
  async (
    { business_id }: CurrentMember,
    id: string,
    { member, version }: { member: string | null; version: number },
  ): Promise<boolean> => isLetterId(id) && giveMessage(connection(), business_id, { id, member, version }),
);

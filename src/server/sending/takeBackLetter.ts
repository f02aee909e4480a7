import { takeBack } from '../../data/repositories/sending/outgoing';
import { now } from '../clock';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { oneLetter } from '../letters/oneLetter';
import { forMember } from '../forMember';

/** Takes a letter back that has not gone yet. Gives what it is now, and whether that was done; undefined: there is none. */
export const takeBackLetter = forMember(
  async (member: CurrentMember, id: string): Promise<{ status: string; taken: boolean } | undefined> => {
    if (!(await oneLetter(member, id))) return undefined;
    const taken = await takeBack(connection(), { business_id: member.business_id, id }, new Date(now()));
    return { status: (await oneLetter(member, id))!.status, taken };
  },
);

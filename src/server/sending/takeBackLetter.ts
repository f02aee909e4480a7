import { takeBack } from '../../data/repositories/outgoing';
import { now } from '../clock';
import { connection } from '../connection';
import type { CurrentMember } from '../currentMember';
import { oneLetter } from '../oneLetter';

/** Takes a letter back that has not gone yet. Gives what it is now; undefined when there is no such letter. */
export async function takeBackLetter(member: CurrentMember, id: string): Promise<string | undefined> {
  if (!(await oneLetter(member, id))) return undefined;
  await takeBack(connection(), { business_id: member.business_id, id }, new Date(now()));
  return (await oneLetter(member, id))?.status;
}

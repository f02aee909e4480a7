import { sizeInWords } from '../../core/describe/sizeInWords';
import { roomUsed } from '../../data/repositories/files/files';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** So many bytes all files of a business have together, those in letters among them. */
const ROOM = 10_000_000_000;

/** How many bytes of it are left to a business. */
export async function roomLeftTo(business_id: string): Promise<number> {
  return ROOM - (await roomUsed(connection(), business_id));
}

/** How many bytes of it are left. */
export const roomLeft = forMember(({ business_id }: CurrentMember) => roomLeftTo(business_id));

/** Why nothing of a size can be kept, in words; undefined when it can. */
export async function noRoomFor(member: CurrentMember, size: number): Promise<string | undefined> {
  const left = await roomLeft(member);
  if (size <= left) return undefined;
  return `The files of the business have ${sizeInWords(ROOM)} together, which is all there is room for. Remove some first.`;
}

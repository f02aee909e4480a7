import { attachmentsOf } from '../../data/repositories/sending/attachments';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { isLetterId } from './oneLetter';

/** A file that went along with a letter, by its place among them. Undefined: there is none. */
export const attachment = forMember(async ({ business_id }: CurrentMember, id: string, position: string) => {
  if (!isLetterId(id) || !/^\d{1,4}$/.test(position)) return undefined;
  return (await attachmentsOf(connection(), { business_id, id }, Number(position)))[0];
});

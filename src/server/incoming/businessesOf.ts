import type { IncomingMail } from '../../core/incoming/incomingMail';
import { letterSigns } from '../../core/incoming/letterSign';
import { readReplyMark } from '../../core/incoming/replyMark';
import { businessesOfAddress } from '../../data/repositories/incoming/businessesOfAddress';
import { messageOfSigns } from '../../data/repositories/incoming/messageOfSigns';
import { connection } from '../connection';

/**
 * The businesses that mail to an address is for. One that several give as theirs is for the one whose letter the message is about, and for
 * none where nothing tells: another's mail is nobody's.
 * @param mail absent: not read yet
 */
export async function businessesOf(address: string, mail?: IncomingMail): Promise<string[]> {
  const database = connection();
  // “imke+r…@” and “imke+post@” are Imke's.
  const own = (readReplyMark(address)?.address ?? address).replace(/\+[^@]*(?=@)/, '');
  const found = await database.acrossBusinesses(() => businessesOfAddress(database, own));
  if (found.length < 2 || !mail) return found;
  for (const business of found)
    if (await database.inBusiness(business, () => messageOfSigns(database, business, letterSigns(mail))))
      return [business];
  return [];
}

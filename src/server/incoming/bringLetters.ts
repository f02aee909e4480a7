import type { LettersBrought } from '../../core/contract/letters';
import { messagesIn } from '../../post/mbox';
import { now } from '../clock';
import type { CurrentMember } from '../signIn/currentMember';
import { readOriginal, takeMail } from './takeMail';

/** So many messages of a file are taken at once. */
const MOST = 500;

const COUNTED = { taken: 'taken', known: 'known', noted: 'reports', 'no room': 'noRoom' } as const;

/**
 * Takes in the messages of a file that a member brings, an .eml or a mailbox file, each as of when it was written: those that were written
 * to the business, and those that members have written elsewhere. One that is here already stays as it is.
 */
export async function bringLetters({ business_id }: CurrentMember, file: Buffer): Promise<LettersBrought> {
  const messages = messagesIn(file, MOST + 1);
  const brought = { taken: 0, known: 0, reports: 0, unreadable: 0, noRoom: 0, more: messages.length > MOST };
  for (const message of messages.slice(0, MOST)) {
    const original = await readOriginal(message);
    const { from, messageId, date } = original.read.mail;
    // What has nobody who wrote it and no head of a message is no message.
    if (!from && messageId === undefined && date === undefined) {
      brought.unreadable++;
      continue;
    }
    const at = new Date(Math.min(date ?? now(), now()));
    const { result } = await takeMail(business_id, original, at, { ownToo: true });
    brought[COUNTED[result]]++;
  }
  return brought;
}

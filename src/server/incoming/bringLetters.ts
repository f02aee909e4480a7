import type { LettersBrought } from '../../core/contract/letters';
import { messagesIn } from '../../post/mbox';
import type { CurrentMember } from '../signIn/currentMember';
import { takeAsWritten } from './takeAsWritten';

/** So many messages of a file are taken at once. */
const MOST = 500;

const COUNTED = {
  taken: 'taken',
  known: 'known',
  noted: 'reports',
  'no room': 'noRoom',
  'no message': 'unreadable',
  // Only in a mailbox.
  left: 'known',
} as const;

/**
 * Takes in the messages of a file that a member brings, an .eml or a mailbox file, each as of when it was written: those that were written
 * to the business, and those that members have written elsewhere. One that is here already stays as it is.
 */
export async function bringLetters({ business_id }: CurrentMember, file: Buffer): Promise<LettersBrought> {
  const messages = messagesIn(file, MOST + 1);
  const brought = { taken: 0, known: 0, reports: 0, unreadable: 0, noRoom: 0, more: messages.length > MOST };
  for (const message of messages.slice(0, MOST)) {
    brought[COUNTED[await takeAsWritten(business_id, message, { by: 'file' })]]++;
  }
  return brought;
}

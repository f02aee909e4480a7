import type { Waiting } from '../../core/contract/letters';
import { whyWaiting, type SendingState } from '../../core/cures/whyWaiting';
import { sendingNow, type SendingNow } from '../../data/repositories/sending/sendingState';
import { tryAllAgain } from '../../data/repositories/sending/sendingTrouble';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';

/** How many letters of the business wait though their time has come, and why. */
export const lettersWaiting = forMember(async ({ business_id }: CurrentMember): Promise<Waiting> => {
  const { waiting, ...state } = await sendingNow(connection(), business_id);
  const why = whyWaiting(stateOf(state));
  return { letters: waiting, ...(why ? { why } : {}) };
});

/** Why a letter from a sender waits. */
export const whyLetterWaits = forMember(
  async ({ business_id }: CurrentMember, sender: string | null): Promise<string | undefined> => {
    const { sends, troubles } = await sendingNow(connection(), business_id);
    const of = troubles.filter((one) => one.sender === '' || one.sender === sender?.toLowerCase());
    return whyWaiting(stateOf({ sends, troubles: of }));
  },
);

function stateOf({ sends, troubles: [trouble] }: Pick<SendingNow, 'sends' | 'troubles'>): SendingState {
  return { sends, ...(trouble ? { trouble } : {}) };
}

/** Has letters that wait for the mail server tried at once. */
export async function tryNow(): Promise<void> {
  await tryAllAgain(connection());
}

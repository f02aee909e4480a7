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
  const ofAccount = state.sends && (state.troubles[0]?.account_id ?? null) !== null;
  return { letters: waiting, ...(why ? { why } : {}), ...(ofAccount ? { ofAccount } : {}) };
});

/** Why a letter waits whose time has come. */
export const whyLetterWaits = forMember(
  async ({ business_id }: CurrentMember, letter: string): Promise<string | undefined> => {
    return whyWaiting(stateOf(await sendingNow(connection(), business_id, letter)));
  },
);

function stateOf({ sends, troubles: [trouble] }: Pick<SendingNow, 'sends' | 'troubles'>): SendingState {
  if (!trouble) return { sends };
  const { account_id, ...said } = trouble;
  return { sends, trouble: { ...said, ofAccount: account_id !== null } };
}

/** Has letters that wait for the mail server tried at once. */
export async function tryNow(): Promise<void> {
  await tryAllAgain(connection());
}

import type { WhoseAccount } from '../../core/contract/records/mailAccount';
import { dayLately } from '../../core/describe/dayLately';
import { mailboxStates, type MailboxState } from '../../data/repositories/accounts/mailboxes';
import { memberOf } from '../accounts/accountRow';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** How reading a mailbox goes, in words. */
export interface SaidMailbox {
  words: string;
  /** mail waits there */
  trouble: boolean;
}

/** How reading a mailbox goes: everybody's, or one's own; undefined where there is none. */
export const mailboxState = forMember(
  async ({ business_id, id }: CurrentMember, whose: WhoseAccount): Promise<SaidMailbox | undefined> => {
    const states = await mailboxStates(connection(), business_id);
    const state = states.find(({ member_id }) => member_id === memberOf(whose, id));
    if (!state) return undefined;
    const at = dayLately(await businessBook(business_id));
    const left = state.left_out
      ? ` ${state.left_out === 1 ? 'One message' : `${state.left_out} messages`} could not be taken in: it is to be read in the mailbox itself.`
      : '';
    const said = troubleOf(state, at);
    if (said !== undefined) return { words: said + left, trouble: true };
    if (!state.read_at) return { words: 'It is about to be looked into for the first time.', trouble: false };
    return { words: `Looked into last ${at(state.read_at.getTime())}.${left}`, trouble: left !== '' };
  },
);

/** The mailboxes from which nothing comes at the moment, in words. */
export const unreadMailboxes = forMember(async ({ business_id }: CurrentMember): Promise<string[]> => {
  const states = (await mailboxStates(connection(), business_id)).filter(isLong);
  if (states.length === 0) return [];
  const at = dayLately(await businessBook(business_id));
  return states.map((state) => `The mailbox of ${state.user_name}: ${troubleOf(state, at)}`);
});

/** A server that is away for a moment is nobody's concern. */
const LONG = 3 * 60_000;

function isLong({ trouble_since, is_forgotten }: MailboxState): boolean {
  return is_forgotten || (trouble_since !== null && now() - trouble_since.getTime() > LONG);
}

function troubleOf(
  { trouble, trouble_since, is_forgotten }: MailboxState,
  at: (moment: number) => string,
): string | undefined {
  if (trouble !== null) return `It has not been read since ${at(trouble_since!.getTime())}. ${trouble}`;
  if (is_forgotten) return 'Nobody reads it at the moment: the process that takes mail in does not run.';
  return undefined;
}

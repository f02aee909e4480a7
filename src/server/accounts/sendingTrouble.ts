import { whyWaiting } from '../../core/cures/whyWaiting';
import { dayLately } from '../../core/describe/dayLately';
import { troubleOfAccount } from '../../data/repositories/sending/sendingTrouble';
import { businessBook } from '../businessBook';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** Since when the server of a sending account takes no letters, and why, in words; undefined: it does. */
export const sendingTrouble = forMember(
  async ({ business_id }: CurrentMember, account: string): Promise<string | undefined> => {
    const trouble = await troubleOfAccount(connection(), account);
    if (!trouble) return undefined;
    const since = dayLately(await businessBook(business_id))(trouble.since.getTime());
    const why = whyWaiting({ sends: true, trouble: { ...trouble, ofAccount: true } });
    return `Letters wait since ${since}. ${why}`;
  },
);

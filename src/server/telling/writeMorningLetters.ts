import { randomUUID } from 'node:crypto';
import { domainOf } from '../../core/addressing/addresses';
import { morningWords } from '../../core/telling/morningWords';
import type { Database } from '../../data/database';
import { accountOf } from '../../data/repositories/accounts/mailAccounts';
import {
  takeDueMorning,
  tryMorningAgain,
  type DueMorning,
} from '../../data/repositories/telling/morningLetters';
import { compose } from '../../post/compose';
import { now } from '../clock';
import type { WaysOut } from '../sending/waysOut';
import { memberOfId } from '../signIn/currentMember';
import { morningOf } from './morning';

/** One that could not be handed over is tried again after so many milliseconds, as long as it is morning. */
const AGAIN = 10 * 60_000;

/**
 * Writes the next morning letter that is due, from a member's address to itself, by the server by which their letters leave.
 * @returns whether one was due
 */
export async function writeMorningLetter(database: Database, waysOut: WaysOut): Promise<boolean> {
  const due = await takeDueMorning(database, new Date(now()));
  if (!due) return false;
  const told = await tell(database, waysOut, due).catch((error: unknown) => {
    console.error(error);
    return false;
  });
  if (!told) await tryMorningAgain(database, due, new Date(now() + AGAIN));
  return true;
}

async function tell(
  database: Database,
  waysOut: WaysOut,
  { business_id, member_id, email, day }: DueMorning,
): Promise<boolean> {
  const member = await memberOfId(business_id, member_id);
  const words = member && morningWords(await morningOf(member), process.env.APP_URL);
  if (!words) return true;
  const account =
    (await accountOf(database, 'sending', business_id, member_id)) ??
    (await accountOf(database, 'sending', business_id, null));
  const connections = await waysOut.of({
    business_id,
    account_id: account?.id ?? null,
    account_version: account?.version ?? null,
  });
  const message = compose({
    messageId: `<morning-${day}-${randomUUID()}@${domainOf(email)}>`,
    date: new Date(now()),
    from: { name: 'Fair Quill', address: email },
    to: [{ name: member.full_name, address: email }],
    copies: [],
    ...words,
    language: 'en-GB',
    automatic: true,
    pictures: new Map(),
  });
  const { result } = await connections.handOver({ from: email, to: [email] }, message, () =>
    Promise.resolve(),
  );
  // One that may have arrived does not come twice; one that is refused for good would be each time.
  return result === 'taken' || result === 'unknown' || result === 'never';
}

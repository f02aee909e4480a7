import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

/** Seconds until the next try while the server takes nothing; the last is kept to. */
const PAUSES = [5, 10, 20, 60, 120, 300, 600];

/** What takes no letters: the server of an account (null: the application's own), from one sender or from nobody (''). */
export interface SendingTrouble {
  account_id: string | null;
  sender: string;
}

/**
 * Writes down that a server takes nothing from a sender, or from nobody, and when that is tried again.
 * @param trial whether it was a try of a trouble that was known; several letters may meet a new one at once
 */
export async function noteTrouble(
  { sequelize }: Database,
  { account_id, sender }: SendingTrouble,
  words: string,
  trial: boolean,
): Promise<void> {
  const pause = `(array[${PAUSES}])[least(sending_trouble.tries + 1, ${PAUSES.length})]`;
  await sequelize.query(
    `insert into sending_trouble (account_id, sender, words, again_at)
     values ($account_id, $sender, $words, now() + interval '${PAUSES[0]} seconds')
     on conflict (account_id, sender) do ${
       trial
         ? `update set words = excluded.words, tries = sending_trouble.tries + 1,
              again_at = now() + make_interval(secs => ${pause})`
         : 'nothing'
     }`,
    { bind: { account_id, sender: sender.toLowerCase(), words } },
  );
}

/** Takes the next try of a trouble whose pause is over, for this worker alone; undefined: none. */
export async function takeTrial({ sequelize }: Database): Promise<SendingTrouble | undefined> {
  const [taken] = await sequelize.query<SendingTrouble>(
    `update sending_trouble trouble set again_at = now() + interval '${PAUSES.at(-1)} seconds'
     from (select account_id, sender from sending_trouble where again_at <= now() order by again_at limit 1 for update skip locked) next
     where trouble.account_id is not distinct from next.account_id and trouble.sender = next.sender
     returning trouble.account_id, trouble.sender`,
    { type: QueryTypes.SELECT },
  );
  return taken;
}

/** A server takes letters again: from this sender, and so from anybody. */
export async function endTrouble(
  { sequelize }: Database,
  { account_id, sender }: SendingTrouble,
): Promise<void> {
  await sequelize.query(
    "delete from sending_trouble where account_id is not distinct from $account_id::uuid and sender in ('', $sender)",
    { bind: { account_id, sender: sender.toLowerCase() } },
  );
}

/** What the server of an account says to whoever it takes no letters from, and since when. */
export async function troubleOfAccount(
  { sequelize }: Database,
  account_id: string,
): Promise<{ sender: string; words: string; since: Date } | undefined> {
  const [trouble] = await sequelize.query<{ sender: string; words: string; since: Date }>(
    'select sender, words, since from sending_trouble where account_id = $account_id order by since limit 1',
    { bind: { account_id }, type: QueryTypes.SELECT },
  );
  return trouble;
}

/** Lets every trouble be tried at once: somebody says that it is mended, or the application was started anew. */
export async function tryAllAgain({ sequelize }: Database): Promise<void> {
  await sequelize.query('update sending_trouble set again_at = now(), tries = 1');
}

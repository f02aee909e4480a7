import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

/** Seconds until the next try while the server takes nothing; the last is kept to. */
const PAUSES = [5, 10, 20, 60, 120, 300, 600];

/**
 * Writes down that the server takes nothing from a sender, or from nobody (''), and when that is tried again.
 * @param trial whether it was a try of a trouble that was known; several letters may meet a new one at once
 */
export async function noteTrouble(
  { sequelize }: Database,
  sender: string,
  words: string,
  trial: boolean,
): Promise<void> {
  const pause = `(array[${PAUSES}])[least(sending_trouble.tries + 1, ${PAUSES.length})]`;
  await sequelize.query(
    `insert into sending_trouble (sender, words, again_at)
     values ($sender, $words, now() + interval '${PAUSES[0]} seconds')
     on conflict (sender) do ${
       trial
         ? `update set words = excluded.words, tries = sending_trouble.tries + 1,
              again_at = now() + make_interval(secs => ${pause})`
         : 'nothing'
     }`,
    { bind: { sender: sender.toLowerCase(), words } },
  );
}

/** Takes the next try of a trouble whose pause is over, for this worker alone. Gives whose it is; undefined: none. */
export async function takeTrial({ sequelize }: Database): Promise<string | undefined> {
  const [taken] = await sequelize.query<{ sender: string }>(
    `update sending_trouble set again_at = now() + interval '${PAUSES.at(-1)} seconds'
     where sender = (select sender from sending_trouble where again_at <= now() order by again_at limit 1 for update skip locked)
     returning sender`,
    { type: QueryTypes.SELECT },
  );
  return taken?.sender;
}

/** The server takes letters again: from this sender, and so from anybody. */
export async function endTrouble({ sequelize }: Database, sender: string): Promise<void> {
  await sequelize.query("delete from sending_trouble where sender in ('', $sender)", {
    bind: { sender: sender.toLowerCase() },
  });
}

/** Lets every trouble be tried at once: somebody says that it is mended, or the application was started anew. */
export async function tryAllAgain({ sequelize }: Database): Promise<void> {
  await sequelize.query('update sending_trouble set again_at = now(), tries = 1');
}

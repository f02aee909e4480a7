import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';
import { A_WORKER_IS_SEEN } from './workers';

/** A letter is late when it should have gone so long ago. */
const LATE_SECONDS = 15;

export interface SendingNow {
  /** whether a worker is there */
  sends: boolean;
  /** letters of the business whose time has come and that have not gone */
  waiting: number;
  /** what the mail server says, to everybody first */
  troubles: { sender: string; words: string; since: string }[];
}

/** Whether letters go, for a business; without one for all of them. */
export async function sendingNow({ sequelize }: Database, business_id?: string): Promise<SendingNow> {
  const [state] = await sequelize.query<SendingNow>(
    `with waiting as (
       select lower(from_address) as sender, goes_at from message
       where status = 'going' and goes_at <= now()
         ${business_id === undefined ? '' : 'and business_id = $business_id'})
     select ${A_WORKER_IS_SEEN} as sends, (select count(*)::int from waiting where goes_at < now() - interval '${LATE_SECONDS} seconds') as waiting,
       (select coalesce(jsonb_agg(jsonb_build_object('sender', sender, 'words', words, 'since', since) order by sender), '[]')
        from sending_trouble where sender = '' or sender in (select sender from waiting)) as troubles`,
    { ...(business_id === undefined ? {} : { bind: { business_id } }), type: QueryTypes.SELECT },
  );
  return state!;
}

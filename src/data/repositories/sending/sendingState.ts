import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';
import { ACCOUNT_OF_LETTER } from './accountOfLetter';
import type { SendingTrouble } from './sendingTrouble';
import { A_WORKER_IS_SEEN } from './workers';

/** A letter is late when it should have gone so long ago. */
const LATE_SECONDS = 15;

export interface SendingNow {
  /** whether a worker is there */
  sends: boolean;
  /** letters of the business whose time has come and that have not gone */
  waiting: number;
  /** what mail servers say, to everybody first */
  troubles: (SendingTrouble & { words: string; since: string })[];
}

/** Whether letters go: of all businesses, of one, or one letter of it. */
export async function sendingNow(
  { sequelize }: Database,
  business_id?: string,
  letter?: string,
): Promise<SendingNow> {
  const bind = {
    ...(business_id === undefined ? {} : { business_id }),
    ...(letter === undefined ? {} : { letter }),
  };
  const [state] = await sequelize.query<SendingNow>(
    `with waiting as (
       select lower(from_address) as sender, account.id as account_id, goes_at
       from message left join lateral (${ACCOUNT_OF_LETTER}) account on true
       where status = 'going' and goes_at <= now()
         ${business_id === undefined ? '' : 'and message.business_id = $business_id'}
         ${letter === undefined ? '' : 'and message.id = $letter'})
     select ${A_WORKER_IS_SEEN} as sends, (select count(*)::int from waiting where goes_at < now() - interval '${LATE_SECONDS} seconds') as waiting,
       (select coalesce(jsonb_agg(jsonb_build_object('account_id', account_id, 'sender', sender, 'words', words, 'since', since)
          order by sender, since), '[]')
        from sending_trouble trouble where exists (
          select from waiting where waiting.account_id is not distinct from trouble.account_id
            and trouble.sender in ('', waiting.sender))) as troubles`,
    { bind, type: QueryTypes.SELECT },
  );
  return state!;
}

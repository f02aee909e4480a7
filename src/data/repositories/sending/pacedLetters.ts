import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';
import { claimLetters, type OutgoingLetter } from './outgoing';
import { ACCOUNT_OF_LETTER } from './accountOfLetter';

/** Half of what an account takes in its time may go at once, and the other half follows evenly: never more in any such time. */
const AT_ONCE = 'greatest(1, most / 2)';
const SECONDS_EACH = `(case per when 'minute' then 60.0 when 'hour' then 3600.0 else 86400.0 end
  / greatest(1, most - ${AT_ONCE}))::double precision`;
const MAY_GO = `floor(${AT_ONCE} - greatest(0, extract(epoch from full_at - now())) / ${SECONDS_EACH} + 0.000001)::integer`;

/** The accounts with a rate that letters wait for and that take some now. */
export async function pacedAccounts({ sequelize }: Database): Promise<{ business_id: string; id: string }[]> {
  return sequelize.query(
    `select business_id, id from sending_account paced where most is not null and ${MAY_GO} >= 1
       and exists (select from message, lateral (${ACCOUNT_OF_LETTER}) account
         where status = 'going' and goes_at <= now() and message.business_id = paced.business_id and account.id = paced.id)
     order by full_at limit 50`,
    { type: QueryTypes.SELECT },
  );
}

/** Claims letters of an account with a rate for a worker, as many as may go now by it, and counts them. */
export async function claimPaced(
  database: Database,
  worker: string,
  { business_id, id }: { business_id: string; id: string },
): Promise<OutgoingLetter[]> {
  const { sequelize, inTransaction } = database;
  return inTransaction(async () => {
    const [account] = await sequelize.query<{ may_go: number }>(
      `select ${MAY_GO} as may_go from sending_account where business_id = $business_id and id = $id and most is not null
       for update skip locked`,
      { bind: { business_id, id }, type: QueryTypes.SELECT },
    );
    if (!account || account.may_go < 1) return [];
    const letters = await claimLetters(database, worker, account.may_go, { account: id });
    await sequelize.query(
      `update sending_account set full_at = greatest(full_at, now()) + make_interval(secs => $letters * ${SECONDS_EACH})
       where business_id = $business_id and id = $id`,
      { bind: { business_id, id, letters: letters.length } },
    );
    return letters;
  });
}

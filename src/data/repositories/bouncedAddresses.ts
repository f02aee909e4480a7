import { QueryTypes } from 'sequelize';
import type { Database } from '../database';

/** Of some addresses of a client those, in lower case, from which the last letter came back. */
export async function bouncedAddresses(
  { sequelize }: Database,
  { business_id, client_id }: { business_id: string; client_id: string },
  addresses: readonly string[],
): Promise<string[]> {
  if (addresses.length === 0) return [];
  const found = await sequelize.query<{ address: string; status: string }>(
    `select distinct on (lower(address)) lower(address) as address, status
     from message join message_recipient whom on whom.business_id = message.business_id and whom.message_id = message.id
     where message.business_id = $business_id and client_id = $client_id and direction = 'out' and role = 'to'
       and status not in ('draft', 'later', 'going', 'taken back') and lower(address) = any($addresses::text[])
     order by lower(address), message.at desc, sequence desc`,
    {
      bind: { business_id, client_id, addresses: addresses.map((one) => one.toLowerCase()) },
      type: QueryTypes.SELECT,
    },
  );
  return found.filter(({ status }) => status === 'bounced').map(({ address }) => address);
}

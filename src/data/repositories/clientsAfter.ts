import { QueryTypes } from 'sequelize';
import type { Database } from '../database';

/** Some clients, by their ids. */
interface ClientsAfter {
  ids: string[];
  /** the key of the last one, where others follow */
  last?: string;
  /** with the first ones: the latest enquiries of those who are no clients */
  enquiries: string[];
}

/** The clients whose keys follow one, in the order of their keys; "" for the first. */
export async function clientsAfter(
  { sequelize }: Database,
  business_id: string,
  after: string,
  count: number,
  mostEnquiries = count,
): Promise<ClientsAfter> {
  const select = <Row extends object>(sql: string, bind: object) =>
    sequelize.query<Row>(sql, { bind: { business_id, ...bind }, type: QueryTypes.SELECT });
  const rows = await select<{ id: string; key: string }>(
    'select id, key from client where business_id = $business_id and key > $after order by key limit $most::int',
    { after, most: count + 1 },
  );
  const enquiries = after
    ? []
    : await select<{ id: string }>(
        `select id from enquiry where business_id = $business_id and client_id is null
         order by received_at desc limit $most::int`,
        { most: mostEnquiries },
      );
  return {
    ids: rows.slice(0, count).map(({ id }) => id),
    ...(rows.length > count ? { last: rows[count - 1]!.key } : {}),
    enquiries: enquiries.map(({ id }) => id),
  };
}

/** How many clients a business has. */
export async function countClients({ models }: Database, business_id: string): Promise<number> {
  return models.client.count({ where: { business_id } });
}

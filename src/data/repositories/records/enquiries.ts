import type { Database } from '../../database';

/** An enquiry led to a booking or a job: nobody waits for an answer any more. */
export async function becameWork({ sequelize }: Database, business_id: string, key: string): Promise<void> {
  await sequelize.query(
    `update enquiry set status = 'became work', version = version + 1
     where business_id = $business_id and key = $key and status <> 'became work'`,
    { bind: { business_id, key } },
  );
}

/** Whose an enquiry is from now on, where it is nobody's yet. */
export async function becameClient(
  { sequelize }: Database,
  business_id: string,
  key: string,
  client: string,
): Promise<void> {
  await sequelize.query(
    `update enquiry set client_id = client.id, version = enquiry.version + 1 from client
     where enquiry.business_id = $business_id and enquiry.key = $key and enquiry.client_id is null
       and client.business_id = enquiry.business_id and client.key = $client`,
    { bind: { business_id, key, client } },
  );
}

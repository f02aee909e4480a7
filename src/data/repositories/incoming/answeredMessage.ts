import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

/** A message that came in, as what answers it knows of it. */
export interface KeptAnswered {
  id: string;
  thread_id: string;
  subject: string;
  text: string;
  from_name: string;
  from_address: string;
  at: Date;
}

/** The message that is to be answered. Undefined: none came in of this id. */
export async function answeredMessage(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  id: string,
): Promise<KeptAnswered | undefined> {
  const [found] = await sequelize.query<KeptAnswered>(
    `select id, thread_id, subject, text, coalesce(from_name, '') as from_name, coalesce(from_address, '') as from_address, at
     from message where business_id = $business_id and id = $id and direction = 'in'`,
    { bind: { business_id, id }, type: QueryTypes.SELECT },
  );
  return found;
}

import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

/** A message that came in is about an enquiry from now on. */
export async function tieToEnquiry(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  { id, enquiry }: { id: string; enquiry: string },
): Promise<void> {
  await sequelize.query(
    `update message set version = version + 1,
       enquiry_id = (select id from enquiry where business_id = $business_id and key = $enquiry)
     where business_id = $business_id and id = $id and direction = 'in'`,
    { bind: { business_id, id, enquiry } },
  );
}

/** What came in from an address that was in no record is a client's from now on. */
export async function tieToClient(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  { client_id, email }: { client_id: string; email: string },
): Promise<void> {
  await sequelize.query(
    `update message set version = version + 1, client_id = $client_id
     where business_id = $business_id and direction = 'in' and client_id is null and lower(from_address) = lower($email)`,
    { bind: { business_id, client_id, email } },
  );
}

/** A message that came in is a member's from now on, or nobody's. @returns whether it was as it was seen, and there is such a member */
export async function giveMessage(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  { id, member, version }: { id: string; member: string | null; version: number },
): Promise<boolean> {
  const given = await sequelize.query(
    `update message set version = version + 1, member_id = who.id
     from (select null::uuid as id where $member::text is null
       union all select id from member where business_id = $business_id and key = $member) who
     where business_id = $business_id and message.id = $id and direction = 'in' and version = $version returning message.id`,
    { bind: { business_id, id, member, version }, type: QueryTypes.SELECT },
  );
  return given.length > 0;
}

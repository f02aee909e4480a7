import { QueryTypes } from 'sequelize';
import { connection } from '../connection';

export interface DemonstrationMember {
  name: string;
  title: string | null;
  email: string;
  password: string;
}

/** The members of the demonstration business with their passwords, in demonstration mode only. */
export async function demonstrationMembers(): Promise<DemonstrationMember[]> {
  if (process.env.FAIRQUILL_DEMONSTRATION !== 'yes') return [];
  // The passwords stand in the demonstration data for everyone to read.
  const { sequelize, acrossBusinesses } = connection();
  return acrossBusinesses(() =>
    sequelize.query<DemonstrationMember>(
      `select full_name as name, title, member.email, 'larkfield-' || member.key as password
     from member join business on business.id = member.business_id
     where business.key = 'larkfield' order by role desc, member.key`,
      { type: QueryTypes.SELECT },
    ),
  );
}

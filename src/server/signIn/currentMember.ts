import { QueryTypes } from 'sequelize';
import { bookingWords, type BookingWords } from '../../core/records/bookingWords';
import { connection } from '../connection';
import { hashToken } from './openSession';

/** Who is signed in, and in which business. */
export interface CurrentMember {
  business_id: string;
  business_name: string;
  id: string;
  key: string;
  full_name: string;
  role: 'owner' | 'member';
  /** whether they may change what everyone writes with */
  changesShared: boolean;
  /** so many days what they have seen stays on their device */
  deviceDays: number;
  /** what the business calls a booking */
  words: BookingWords;
}

/** The member of a session's token; undefined when it is unknown, revoked, over, or was not used for too long. */
export async function currentMember(token: string | undefined): Promise<CurrentMember | undefined> {
  if (!token) return undefined;
  // Whose session it is, is not known before it is found.
  return connection().acrossBusinesses(() => memberOf(hashToken(token)));
}

/** What is known of a member, in a query of them and of their `business`. */
const MEMBER = `member.business_id, business.name as business_name, member.id, member.key, member.full_name, member.role,
       member.role = 'owner' or member.changes_shared as "changesShared",
       business.device_days as "deviceDays", business.booking_label`;

type Row = Omit<CurrentMember, 'words'> & { booking_label: string | null };

/** A member by their id, for what is done in their name while they are not signed in. Undefined: there is none any more. */
export async function memberOfId(business_id: string, id: string): Promise<CurrentMember | undefined> {
  return connection().inBusiness(business_id, async () => {
    const [found] = await connection().sequelize.query<Row>(
      `select ${MEMBER} from member join business on business.id = member.business_id
       where member.business_id = $business_id and member.id = $id`,
      { bind: { business_id, id }, type: QueryTypes.SELECT },
    );
    return found && asMember(found);
  });
}

async function memberOf(hash: string): Promise<CurrentMember | undefined> {
  const { sequelize } = connection();
  const [found] = await sequelize.query<Row & { away: boolean }>(
    `select ${MEMBER}, session.seen_at < now() - interval '5 minutes' as away
     from session
     join member on member.business_id = session.business_id and member.id = session.member_id
     join business on business.id = session.business_id
     where session.token_hash = $hash and session.revoked_at is null and session.expires_at > now()
       and session.seen_at > now() - make_interval(days => business.idle_days)`,
    { bind: { hash }, type: QueryTypes.SELECT },
  );
  if (!found) return undefined;
  const { away, ...member } = found;
  if (away)
    await sequelize.query('update session set seen_at = now() where token_hash = $hash', { bind: { hash } });
  return asMember(member);
}

function asMember({ booking_label, ...member }: Row): CurrentMember {
  return { ...member, words: bookingWords(booking_label) };
}

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

async function memberOf(hash: string): Promise<CurrentMember | undefined> {
  const { sequelize } = connection();
  const [found] = await sequelize.query<
    Omit<CurrentMember, 'words'> & { booking_label: string | null; away: boolean }
  >(
    `select member.business_id, business.name as business_name, member.id, member.key, member.full_name, member.role,
       member.role = 'owner' or member.changes_shared as "changesShared",
       business.device_days as "deviceDays", business.booking_label, session.seen_at < now() - interval '5 minutes' as away
     from session
     join member on member.business_id = session.business_id and member.id = session.member_id
     join business on business.id = session.business_id
     where session.token_hash = $hash and session.revoked_at is null and session.expires_at > now()
       and session.seen_at > now() - make_interval(days => business.idle_days)`,
    { bind: { hash }, type: QueryTypes.SELECT },
  );
  if (!found) return undefined;
  const { booking_label, away, ...member } = found;
  if (away)
    await sequelize.query('update session set seen_at = now() where token_hash = $hash', { bind: { hash } });
  return { ...member, words: bookingWords(booking_label) };
}

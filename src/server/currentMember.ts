import { QueryTypes } from 'sequelize';
import { bookingWords, type BookingWords } from '../core/records/bookingWords';
import { connection } from './connection';
import { hashToken } from './signIn';

/** Who is signed in, and in which business. */
export interface CurrentMember {
  business_id: string;
  business_name: string;
  id: string;
  key: string;
  full_name: string;
  role: 'owner' | 'member';
  /** what the business calls a booking */
  words: BookingWords;
}

/** The member of a session's token; undefined when it is unknown, revoked or over. */
export async function currentMember(token: string | undefined): Promise<CurrentMember | undefined> {
  if (!token) return undefined;
  const [found] = await connection().sequelize.query<
    Omit<CurrentMember, 'words'> & { booking_label: string | null }
  >(
    `select member.business_id, business.name as business_name, member.id, member.key, member.full_name, member.role,
       business.booking_label
     from session
     join member on member.business_id = session.business_id and member.id = session.member_id
     join business on business.id = session.business_id
     where session.token_hash = $hash and session.revoked_at is null and session.expires_at > now()`,
    { bind: { hash: hashToken(token) }, type: QueryTypes.SELECT },
  );
  if (!found) return undefined;
  const { booking_label, ...member } = found;
  return { ...member, words: bookingWords(booking_label) };
}

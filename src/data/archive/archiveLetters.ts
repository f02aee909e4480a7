import { QueryTypes } from 'sequelize';
import type { Database } from '../database';

/** A letter that is taken out, but for its words. */
export interface ArchiveLetter {
  id: string;
  sequence: number;
  message_id: string;
  at: Date;
  subject: string;
  language: string | null;
  from_name: string | null;
  from_address: string | null;
  recipients: { role: string; name: string; address: string }[];
  /** of one that came in: its original, by its SHA-256 */
  original: string | null;
}

const AT_ONCE = 200;

/** Of a letter that was not sent from here it is known who of the business wrote it. */
const MEMBER = (what: 'full_name' | 'email') =>
  `select ${what} from member where member.business_id = message.business_id and member.id = message.member_id`;

/** The letters of a business that went or came, or of one of its clients, the oldest first. */
export async function* archiveLetters(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  client_id: string | null = null,
): AsyncGenerator<ArchiveLetter> {
  let after = 0;
  for (;;) {
    const rows = await sequelize.query<ArchiveLetter>(
      `select id, sequence, message_id, at, subject, language,
         coalesce(from_name, case direction when 'out' then (${MEMBER('full_name')}) end) as from_name,
         coalesce(from_address, case direction when 'out' then (${MEMBER('email')}) end) as from_address,
         (select coalesce(jsonb_agg(jsonb_build_object('role', role, 'name', name, 'address', address) order by position), '[]')
          from message_recipient where message_recipient.business_id = message.business_id and message_recipient.message_id = message.id)
           as recipients,
         (select sha256 from incoming where incoming.business_id = message.business_id and incoming.message_id = message.id) as original
       from message where business_id = $business_id and sequence > $after
         and ($client_id::uuid is null or client_id = $client_id and status <> 'draft') order by sequence limit ${AT_ONCE}`,
      { bind: { business_id, after, client_id }, type: QueryTypes.SELECT },
    );
    yield* rows;
    if (rows.length < AT_ONCE) return;
    after = rows.at(-1)!.sequence;
  }
}

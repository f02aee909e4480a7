import { QueryTypes } from 'sequelize';
import type { LetterSign } from '../../../core/incoming/letterSign';
import type { Database } from '../../database';

/** A message that another is about, with what it is tied to. */
export interface KnownMessage {
  id: string;
  direction: 'out' | 'in';
  status: string;
  thread_id: string;
  client_id: string | null;
  enquiry_id: string | null;
  project_id: string | null;
  booking_id: string | null;
  invoice_id: string | null;
  /** who has written it, or sees to it */
  member_id: string | null;
}

const MESSAGE =
  'select id, direction, status, thread_id, client_id, enquiry_id, project_id, booking_id, invoice_id, member_id from message';

/** The message of a business that the surest of some signs leads to, with the sign. Undefined: none leads to one. */
export async function messageOfSigns(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  signs: readonly LetterSign[],
): Promise<{ sign: LetterSign['sign']; message: KnownMessage } | undefined> {
  for (const sign of signs) {
    const [by, wanted] =
      sign.sign === 'reply mark'
        ? [`id = any($wanted::uuid[]) and direction = 'out'`, [sign.letter]]
        : ['message_id = any($wanted::text[])', sign.messageIds];
    const [message] = await sequelize.query<KnownMessage>(
      `${MESSAGE} where business_id = $business_id and ${by} and status <> 'draft'
       order by array_position($wanted, ${sign.sign === 'reply mark' ? 'id' : 'message_id'}) limit 1`,
      { bind: { business_id, wanted: [...wanted] }, type: QueryTypes.SELECT },
    );
    if (message) return { sign: sign.sign, message };
  }
  return undefined;
}

/** So many days a server tries before it says that a letter came back. */
const MOST_DAYS = 6;

/** The newest letter to an address, of those that a report may still be about. */
export async function letterToAddress(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  address: string,
  at: Date,
): Promise<KnownMessage | undefined> {
  const [message] = await sequelize.query<KnownMessage>(
    `${MESSAGE} where business_id = $business_id and direction = 'out'
       and status in ('going', 'sent', 'delivered', 'opened', 'may have arrived') and at > $since and id in (
         select message_id from message_recipient where business_id = $business_id and lower_address = lower($address))
     order by at desc, sequence desc limit 1`,
    {
      bind: { business_id, address, since: new Date(at.getTime() - MOST_DAYS * 86_400_000) },
      type: QueryTypes.SELECT,
    },
  );
  return message;
}

import { randomUUID } from 'node:crypto';
import type { HeldDays } from '../../../core/writing/heldDays';
import type { RowOf } from '../../column';
import type { Database } from '../../database';
import type { MESSAGE } from '../../models/message';
import { attach, type Attached } from './attachments';
import { keepHeldDays } from './heldDays';
import { momentIn } from './outgoing';

type Message = RowOf<typeof MESSAGE>;

/** When a letter goes: in so many seconds, for later where it is filled again first; or it has gone already, from elsewhere. */
export type Goes = { in: number; later?: boolean } | 'elsewhere';

/** What is said of a letter that has gone another way. */
const ELSEWHERE = 'It went another way, and is only noted here.';

/** A message that is to go. */
export interface Outgoing {
  message: Pick<Message, 'business_id' | 'id' | 'member_id' | 'subject' | 'text' | 'html' | 'language'> &
    Partial<Message>;
  from: { name: string; email: string };
  recipients: readonly { role: 'to' | 'copy' | 'blind copy'; name: string; address: string }[];
  files: readonly Attached[];
  /** the days that it offers, and until when they are kept free */
  holds?: HeldDays | undefined;
}

/**
 * Writes down a message with whom it goes to, what goes along, and that it is to go: all of it or nothing, and it is the queue of what is
 * to be sent.
 * @param at the moment of its writing
 * @param goes in how many seconds; or that it has gone another way, and is only noted
 * @throws UniqueConstraintError when the same message was written down before
 */
export async function keepOutgoing(
  database: Database,
  { message, from, recipients, files, holds }: Outgoing,
  at: Date,
  goes: Goes,
): Promise<void> {
  const { models, inTransaction } = database;
  const { business_id, id } = message;
  const [status, detail] = became(goes);
  await inTransaction(async () => {
    await models.message.create({
      ...message,
      message_id: `${id}@${from.email.split('@')[1] ?? 'localhost'}`,
      direction: 'out',
      status,
      reason: detail,
      thread_id: message.thread_id ?? randomUUID(),
      from_name: from.name,
      from_address: from.email,
      at,
      goes_at: goes === 'elsewhere' ? null : await momentIn(database, goes.in),
    });
    await keepGoing(database, { business_id, id }, { recipients, files, holds });
    await models.delivery_event.create({
      business_id,
      message_id: id,
      position: 0,
      kind: status,
      at,
      detail,
    });
  });
}

function became(goes: Goes): ['sent' | 'later' | 'going', string | null] {
  if (goes === 'elsewhere') return ['sent', ELSEWHERE];
  return [goes.later ? 'later' : 'going', null];
}

/** Writes down whom a message goes to, what goes along, and which days are held for its reader. */
export async function keepGoing(
  database: Database,
  { business_id, id }: { business_id: string; id: string },
  { recipients, files, holds = { days: [] } }: Pick<Outgoing, 'recipients' | 'files' | 'holds'>,
): Promise<void> {
  await database.models.message_recipient.bulkCreate(
    recipients.map((one, position) => ({ ...one, business_id, message_id: id, position })),
  );
  await attach(database, { business_id, id }, files);
  await keepHeldDays(database, { business_id, id }, holds);
}

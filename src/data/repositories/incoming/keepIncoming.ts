import { QueryTypes } from 'sequelize';
import type { RowOf } from '../../column';
import type { Database } from '../../database';
import type { INCOMING, MESSAGE } from '../../models/message';
import { keepFile, type KeptFile } from '../files/files';
import { attach } from '../sending/attachments';

type Incoming = RowOf<typeof INCOMING>;
type Message = RowOf<typeof MESSAGE>;

/**
 * Writes down that a message came in, with its original. Whoever brings the same one at the same moment waits for the transaction of who
 * was first.
 * @returns whether it had not come before
 */
export async function keepIncoming(
  database: Database,
  {
    business_id,
    id,
    mark,
    came_at,
    notes,
  }: Pick<Incoming, 'business_id' | 'id' | 'mark' | 'came_at' | 'notes'>,
  original: KeptFile,
): Promise<boolean> {
  await keepFile(database, business_id, original);
  const taken = await database.sequelize.query(
    `insert into incoming (business_id, id, mark, sha256, came_at, notes)
     values ($business_id, $id, $mark, $sha256, $came_at, $notes::text[])
     on conflict (business_id, mark) do nothing returning id`,
    { bind: { business_id, id, mark, sha256: original.sha256, came_at, notes }, type: QueryTypes.SELECT },
  );
  return taken.length > 0;
}

/** A message that came in, as it is read. */
export interface CameIn {
  message: Pick<
    Message,
    'business_id' | 'id' | 'message_id' | 'thread_id' | 'subject' | 'text' | 'quoted' | 'html' | 'at'
  > &
    Partial<Message>;
  recipients: readonly { role: 'to' | 'copy'; name: string; address: string }[];
  files: readonly (KeptFile & { name: string })[];
}

/** Writes down a message that came in, with whom it was to and what came along. */
export async function keepCameIn(
  database: Database,
  { message, ...along }: Omit<CameIn, 'message'> & { message: CameIn['message'] & Pick<Message, 'came_as'> },
): Promise<void> {
  await database.models.message.create({ ...message, direction: 'in', status: 'received' });
  await keepAlong(database, message, along);
}

/** Writes down a letter of the business's own that was written in another mail program. */
export async function keepWrittenElsewhere(database: Database, { message, ...along }: CameIn): Promise<void> {
  const { business_id, id: message_id, at } = message;
  const went = { direction: 'out', status: 'sent', reason: WRITTEN_ELSEWHERE } as const;
  await database.models.message.create({ ...message, ...went });
  await keepAlong(database, message, along);
  const event = {
    business_id,
    message_id,
    position: 0,
    kind: 'sent' as const,
    at,
    detail: WRITTEN_ELSEWHERE,
  };
  await database.models.delivery_event.create(event);
}

const WRITTEN_ELSEWHERE = 'It was written in another mail program.';

async function keepAlong(
  database: Database,
  { business_id, id }: Pick<Message, 'business_id' | 'id'>,
  { recipients, files }: Omit<CameIn, 'message'>,
): Promise<void> {
  const { models } = database;
  await models.message_recipient.bulkCreate(
    recipients.map((one, position) => ({ ...one, business_id, message_id: id, position })),
  );
  for (const file of files) await keepFile(database, business_id, file);
  await attach(
    database,
    { business_id, id },
    files.map(({ name, sha256 }) => ({ name, sha256 })),
  );
}

/** Says of what came in which letter it is about, by what that is known, and which message it has become. */
export async function tieIncoming(
  { models }: Database,
  { business_id, id }: Pick<Incoming, 'business_id' | 'id'>,
  ties: Pick<Incoming, 'sign' | 'letter_id' | 'message_id'>,
): Promise<void> {
  await models.incoming.update(ties, { where: { business_id, id } });
}

/** Whom the message of a business is from that has a Message-ID, in lower case; undefined: it has none of it. */
export async function fromOfMessage(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  message_id: string,
): Promise<string | undefined> {
  const [found] = await sequelize.query<{ from: string }>(
    `select lower(coalesce(from_address, '')) as from from message where business_id = $business_id and message_id = $message_id`,
    { bind: { business_id, message_id }, type: QueryTypes.SELECT },
  );
  return found?.from;
}

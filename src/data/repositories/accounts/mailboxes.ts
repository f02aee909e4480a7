import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';
import type { AccountKey, Mailbox } from './mailAccounts';

/** Whoever reads a mailbox and has not said so for this long has ended: it is another's. */
const HELD = "now() + interval '30 seconds'";

/** How far a folder has been read. */
interface ReadTo {
  uid_validity: number;
  next_uid: number;
}

/** Claims mailboxes that nobody reads, for a reader alone. @param ending those that it has not let go of yet */
export async function claimMailboxes(
  { sequelize }: Database,
  reader: string,
  most: number,
  ending: readonly string[],
): Promise<Mailbox[]> {
  return sequelize.query<Mailbox>(
    `update mailbox set read_by = $reader, read_until = ${HELD}
     where (business_id, id) in (
       select business_id, id from mailbox where read_until < now() and id <> all($ending::uuid[])
       order by read_until limit $most for update skip locked)
     returning *`,
    { bind: { reader, most, ending: [...ending] }, type: QueryTypes.SELECT },
  );
}

/** Says that a reader is alive; gives the ids of what is still its own: others were changed, or taken out. */
export async function holdMailboxes({ sequelize }: Database, reader: string): Promise<Set<string>> {
  const held = await sequelize.query<{ id: string }>(
    `update mailbox set read_until = ${HELD} where read_by = $reader returning id`,
    { bind: { reader }, type: QueryTypes.SELECT },
  );
  return new Set(held.map(({ id }) => id));
}

/** Lets a mailbox go, which may be read again after some seconds. */
export async function letGoMailbox(
  { sequelize }: Database,
  reader: string,
  { business_id, id }: AccountKey,
  seconds: number,
): Promise<void> {
  await sequelize.query(
    `update mailbox set read_by = null, read_until = now() + make_interval(secs => $seconds)
     where business_id = $business_id and id = $id and read_by = $reader`,
    { bind: { business_id, id, reader, seconds } },
  );
}

/** How far a folder of a mailbox has been read; undefined: not yet. */
export async function readSoFar(
  { sequelize }: Database,
  { business_id, id }: AccountKey,
  path: string,
): Promise<ReadTo | undefined> {
  const [found] = await sequelize.query<ReadTo>(
    `select uid_validity, next_uid from mailbox_folder
     where business_id = $business_id and mailbox_id = $id and path = $path`,
    { bind: { business_id, id, path }, type: QueryTypes.SELECT },
  );
  return found;
}

/** Writes down how far a folder has been read, where it is still this reader's. @returns whether it is */
export async function keepReadTo(
  { sequelize }: Database,
  reader: string,
  { business_id, id }: AccountKey,
  path: string,
  { uid_validity, next_uid }: ReadTo,
): Promise<boolean> {
  const kept = await sequelize.query(
    `insert into mailbox_folder (business_id, mailbox_id, path, uid_validity, next_uid)
     select business_id, id, $path, $uid_validity, $next_uid from mailbox
       where business_id = $business_id and id = $id and read_by = $reader for update
     on conflict (business_id, mailbox_id, path) do update
       set uid_validity = excluded.uid_validity, next_uid = excluded.next_uid returning path`,
    { bind: { business_id, id, reader, path, uid_validity, next_uid }, type: QueryTypes.SELECT },
  );
  return kept.length > 0;
}

/** Writes down that a mailbox was looked into: its trouble is over. */
export async function noteLookedInto(
  { sequelize }: Database,
  reader: string,
  { business_id, id }: AccountKey,
  at: Date,
): Promise<void> {
  await sequelize.query(
    `update mailbox set read_at = $at, trouble = null, trouble_since = null
     where business_id = $business_id and id = $id and read_by = $reader`,
    { bind: { business_id, id, reader, at } },
  );
}

/** Writes down why a mailbox cannot be read. @returns for how many seconds it could not */
export async function noteMailboxTrouble(
  { sequelize }: Database,
  reader: string,
  { business_id, id }: AccountKey,
  words: string,
  at: Date,
): Promise<number> {
  const [row] = await sequelize.query<{ since: Date }>(
    `update mailbox set trouble = $words, trouble_since = coalesce(trouble_since, $at)
     where business_id = $business_id and id = $id and read_by = $reader returning trouble_since as since`,
    { bind: { business_id, id, reader, words, at }, type: QueryTypes.SELECT },
  );
  return row ? (at.getTime() - row.since.getTime()) / 1000 : 0;
}

/** Counts a message that could not be taken in: it stays in the mailbox. */
export async function noteLeftOut({ sequelize }: Database, { business_id, id }: AccountKey): Promise<void> {
  await sequelize.query(
    'update mailbox set left_out = left_out + 1 where business_id = $business_id and id = $id',
    { bind: { business_id, id } },
  );
}

/** How reading a mailbox goes. */
export interface MailboxState {
  id: string;
  /** null: everybody's */
  member_id: string | null;
  user_name: string;
  /** undefined: never yet */
  read_at: Date | null;
  trouble: string | null;
  trouble_since: Date | null;
  left_out: number;
  /** nobody has claimed it, though it could be */
  is_forgotten: boolean;
}

/** How reading the mailboxes of a business goes. */
export async function mailboxStates({ sequelize }: Database, business_id: string): Promise<MailboxState[]> {
  return sequelize.query<MailboxState>(
    `select id, member_id, user_name, read_at, trouble, trouble_since, left_out,
       read_until between '1980-01-01' and now() - interval '3 minutes' as is_forgotten
     from mailbox where business_id = $business_id`,
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
}

import { QueryTypes } from 'sequelize';
import { TRIED_LONG } from '../../../core/cures/cures';
import type { Database } from '../../database';
import { unmakeClientOfLetter } from './clientOfLetter';
import { addEvent, addingEvents } from './deliveryEvents';
import { machine } from './ownMark';
import type { SendingTrouble } from './sendingTrouble';
import { ACCOUNT_OF_LETTER } from './accountOfLetter';
import { WORKER_IS_GONE } from './workers';

/** A letter that a worker may hand over. */
export interface OutgoingLetter {
  business_id: string;
  id: string;
  message_id: string;
  from_name: string | null;
  from_address: string;
  reply_to: string | null;
  subject: string;
  text: string;
  signature_at: number | null;
  html: string | null;
  language: string | null;
  at: Date;
  /** what stands below: the words of the message that it answers */
  quoted: string | null;
  /** the Message-IDs of its thread, that of the message which it answers last; empty: it answers none */
  thread: string[];
  /** whether the address to which it is answered says which letter is answered */
  marks_replies: boolean;
  /** whether it has a small picture in it that tells when it is shown */
  asks_opened: boolean;
  /** how often it has been tried, this time included */
  tries: number;
  /** tells this claim from any other */
  claimed_at: Date;
  /** a worker had begun to hand it over and was never heard of again */
  handed_over_at: Date | null;
  recipients: { role: 'to' | 'copy' | 'blind copy'; name: string; address: string }[];
  /** by which account it leaves, as it was settled at that version; null: by the application's own server */
  account_id: string | null;
  account_version: number | null;
  /** where what comes back goes, where not to the address that it is from */
  envelope_address: string | null;
  /** whether it is signed for the domain that it comes from */
  is_signed: boolean;
  has_files: boolean;
}

/** Which letters are claimed: those of accounts without a rate that nothing keeps, of one that has a rate, or one to see whether a trouble is over. */
export type Claimed =
  { full: readonly string[]; serverMost: number } | { account: string } | { trouble: SendingTrouble };

/** What keeps letters of a sender from going, or of all (sender ''), by one account. */
const NO_TROUBLE = `not exists (select from sending_trouble trouble
  where trouble.account_id is not distinct from account.id and trouble.sender in ('', lower(message.from_address)))`;

/**
 * A letter goes after those to the same reader that its sender wrote before, unless one is refused again and again
 * (core/cures). Looked for from its readers, whatever the planner thinks of the queue (offset 0).
 */
const NOTHING_BEFORE = `coalesce((select false
  from (select lower_address from message_recipient
    where business_id = message.business_id and message_id = message.id offset 0) reader,
  lateral (select message_id from message_recipient other
    where other.business_id = message.business_id and other.lower_address = reader.lower_address and message_id <> message.id offset 0) other,
  lateral (select status, tries, from_address, at, sequence from message before
    where before.business_id = message.business_id and before.id = other.message_id offset 0) before
  where before.status = 'going' and before.tries < ${TRIED_LONG} and lower(before.from_address) = lower(message.from_address)
    and (before.at, before.sequence) < (message.at, message.sequence)
  limit 1), true)`;

/** Of the letters of one account no more are in hand at a time. */
const MOST_OF_ACCOUNT = 8;

/** The application's own server among accounts that are full. */
export const SERVER = '00000000-0000-0000-0000-000000000000';

/** So many messages of a thread are named in what answers the last of them. */
const MOST_OF_THREAD = 20;

/** The Message-IDs of the thread up to the message that a letter answers; those that we have given ourselves are nobody else's. */
const THREAD = `array(select before.message_id from (
    select other.message_id, other.at, other.sequence, other.id = message.answers as is_last from message other
    where message.answers is not null and other.business_id = message.business_id and other.thread_id = message.thread_id
      and other.id <> message.id and other.status not in ('draft', 'later', 'going', 'held', 'taken back') and other.message_id not like '%@incoming'
    order by is_last desc, other.at desc, other.sequence desc limit ${MOST_OF_THREAD}) before
  order by before.is_last, before.at, before.sequence)`;

/** Where a letter may go: looked at letter by letter in the order of their times, so that a long queue is not read whole. */
const MAY_GO = (which: string) => `coalesce((select true
  from business left join lateral (${ACCOUNT_OF_LETTER}) account on true
  where business.id = message.business_id and goes_at > now() - make_interval(hours => hold_after_hours) and ${which} limit 1), false)`;

/**
 * Claims letters whose time has come for a worker, the longest due first. None while this database is a copy that
 * nobody has looked at, none that wait for a person, and none whose sender is in trouble, unless it is that which is tried.
 */
export async function claimLetters(
  { sequelize }: Database,
  worker: string,
  most: number,
  claimed: Claimed,
): Promise<OutgoingLetter[]> {
  const [which, bind] = whichOf(claimed);
  return sequelize.query<OutgoingLetter>(
    `with due as (
       select business_id, id, member_id, from_address, goes_at from message
       where status = 'going' and goes_at <= now() and (claimed_by is null or claimed_by <> $worker and ${WORKER_IS_GONE})
         and exists (select from own_mark where mark = present_mark($machine))
         and ${MAY_GO(which)} and ${NOTHING_BEFORE}
       order by goes_at limit ${Math.floor(most)} for update skip locked),
     leaving as (
       select message.*, account.id as account_id, account.version as account_version, account.envelope_address,
         exists (select from signing_key one where one.business_id = message.business_id and seen_at is not null
           and domain = lower(substring(from_address from '[^@]*$'))) as is_signed,
         row_number() over (partition by account.id order by goes_at) as nth
       from due message left join lateral (${ACCOUNT_OF_LETTER}) account on true)
     update message set claimed_by = $worker, claimed_at = date_trunc('milliseconds', clock_timestamp()), tries = tries + 1
     from leaving join business on business.id = leaving.business_id
     where message.business_id = leaving.business_id and message.id = leaving.id
       and nth <= case when account_id is null then $server_most::integer else ${MOST_OF_ACCOUNT} end
     returning message.business_id, message.id, message.message_id, from_name, message.from_address, reply_to, subject, text, signature_at,
       html, language, at, tries, claimed_at, handed_over_at, quoted, account_id, account_version, envelope_address, is_signed,
       exists (select from attachment one where one.business_id = message.business_id and one.message_id = message.id) as has_files,
       marks_replies, asks_opened, ${THREAD} as thread,
       (select coalesce(jsonb_agg(jsonb_build_object('role', role, 'name', name, 'address', address) order by position), '[]')
        from message_recipient one where one.business_id = message.business_id and one.message_id = message.id) as recipients`,
    { bind: { worker, machine: machine(), server_most: most, ...bind }, type: QueryTypes.SELECT },
  );
}

function whichOf(claimed: Claimed): [which: string, bind: object] {
  if ('trouble' in claimed) {
    const { account_id, sender } = claimed.trouble;
    const which = `account.id is not distinct from $account_id::uuid and ($sender = '' or lower(from_address) = $sender)`;
    return [which, { account_id, sender }];
  }
  if ('account' in claimed)
    return [`account.id = $account_id::uuid and ${NO_TROUBLE}`, { account_id: claimed.account }];
  const { full, serverMost } = claimed;
  const which = `coalesce(account.id, '${SERVER}') <> all ($full::uuid[]) and account.most is null and ${NO_TROUBLE}`;
  return [which, { full, server_most: serverMost }];
}

/** One worker's hold on a letter. */
export type Claim = Pick<OutgoingLetter, 'business_id' | 'id' | 'claimed_at'>;

/** Claims as the database reads them, several at once. */
const CLAIMS = 'jsonb_to_recordset($claims) as claim(business_id uuid, id uuid, claimed_at timestamptz';
const IS_CLAIMED = `message.business_id = claim.business_id and message.id = claim.id and message.status = 'going'
  and message.claimed_at = claim.claimed_at`;

/**
 * Notes that the server begins to take the contents of letters: from now on they may have gone out.
 * @returns the ids of those it may take; another worker has taken the others over, and this one must let go of them
 */
export async function beginHandovers(
  { sequelize }: Database,
  claims: readonly Claim[],
): Promise<ReadonlySet<string>> {
  const rows = await sequelize.query<{ id: string }>(
    `update message set handed_over_at = now() from ${CLAIMS})
     where ${IS_CLAIMED} and handed_over_at is null returning message.id`,
    { bind: { claims: JSON.stringify(claims.map(holdOf)) }, type: QueryTypes.SELECT },
  );
  return new Set(rows.map(({ id }) => id));
}

function holdOf({ business_id, id, claimed_at }: Claim): Claim {
  return { business_id, id, claimed_at };
}

/** What became of a try; the words are the server's. A letter that goes again does so after some seconds. */
export type TryOutcome =
  | { status: 'sent'; detail?: string }
  | { status: 'failed' | 'may have arrived'; detail: string }
  | { status: 'going'; detail: string; again: number };

/** Writes down what became of tries, and lets go of the letters; nothing where one is another worker's by now. */
export async function concludeTries(
  { sequelize }: Database,
  tries: readonly { claim: Claim; outcome: TryOutcome }[],
  at: Date,
): Promise<void> {
  const claims = tries.map(({ claim, outcome }) => ({ ...holdOf(claim), ...outcome }));
  await sequelize.query(
    `with concluded as (
       update message set status = claim.status, reason = claim.detail, claimed_by = null, claimed_at = null,
         goes_at = case when claim.status = 'going' then now() + make_interval(secs => claim.again) end,
         handed_over_at = case when claim.status = 'going' then null else handed_over_at end,
         version = version + 1
       from ${CLAIMS}, status text, detail text, again integer)
       where ${IS_CLAIMED}
       returning message.business_id, message.id, claim.status, claim.detail)
     ${addingEvents('concluded', 'detail')}`,
    { bind: { claims: JSON.stringify(claims), at }, type: QueryTypes.INSERT },
  );
}

/** Lets go of a letter that nothing has become of; where it was not tried either, as if it had not been claimed. */
export async function releaseClaim(
  { sequelize }: Database,
  { business_id, id, claimed_at }: Claim,
  tried: boolean,
): Promise<void> {
  await sequelize.query(
    `update message set claimed_by = null, claimed_at = null, handed_over_at = null, tries = tries - $not_tried::integer
     where business_id = $business_id and id = $id and status = 'going' and claimed_at = $claimed_at`,
    { bind: { business_id, id, claimed_at, not_tried: tried ? 0 : 1 } },
  );
}

/** The moment in so many seconds, by the one clock there is: the database's. */
export async function momentIn({ sequelize }: Pick<Database, 'sequelize'>, seconds: number): Promise<Date> {
  const [row] = await sequelize.query<{ moment: Date }>(
    'select now() + make_interval(secs => $seconds) as moment',
    {
      bind: { seconds },

      type: QueryTypes.SELECT,
    },
  );
  return row!.moment;
}

/**
 * Takes a letter back that no worker has begun with. One that was sent again after it had been held or had failed is then
 * as it was before that; else the client goes with it that it has made.
 * @returns whether it was still there to be taken
 */
export async function takeBack(
  database: Database,
  { business_id, id }: { business_id: string; id: string },
  at: Date,
): Promise<boolean> {
  const { sequelize } = database;
  return database.inTransaction(async () => {
    const [row] = await sequelize.query<{ status: string }>(
      `update message set goes_at = null, version = version + 1, status = coalesce(before.kind, 'taken back'), reason = before.detail
       from (select) one left join lateral (
         select kind, detail from delivery_event where business_id = $business_id and message_id = $id
           and kind in ('held', 'failed', 'may have arrived') order by position desc limit 1) before on true
       where business_id = $business_id and id = $id and status in ('going', 'later') and claimed_by is null
       returning status`,
      { bind: { business_id, id }, type: QueryTypes.SELECT },
    );
    if (!row) return false;
    await addEvent({ sequelize }, { business_id, id }, row.status, at, undefined);
    if (row.status === 'taken back') await unmakeClientOfLetter(database, { business_id, id });
    return true;
  });
}

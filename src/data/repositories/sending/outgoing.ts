import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';
import { unmakeClientOfLetter } from './clientOfLetter';
import { addEvent, addingEvents } from './deliveryEvents';
import { machine } from './ownMark';
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
}

/** What keeps letters of a sender from going, or of all (sender ''). */
const NO_TROUBLE = `not exists (select from sending_trouble where sender in ('', lower(message.from_address)))`;

/** One letter of those that wait for their sender's trouble to be over. */
const OF_SENDER = `($sender = '' or lower(message.from_address) = $sender)`;

/** So many messages of a thread are named in what answers the last of them. */
const MOST_OF_THREAD = 20;

/** The Message-IDs of the thread up to the message that a letter answers; those that we have given ourselves are nobody else's. */
const THREAD = `array(select before.message_id from (
    select other.message_id, other.at, other.sequence, other.id = message.answers as is_last from message other
    where message.answers is not null and other.business_id = message.business_id and other.thread_id = message.thread_id
      and other.id <> message.id and other.status not in ('draft', 'later', 'going', 'held', 'taken back') and other.message_id not like '%@incoming'
    order by is_last desc, other.at desc, other.sequence desc limit ${MOST_OF_THREAD}) before
  order by before.is_last, before.at, before.sequence)`;

/**
 * Claims letters whose time has come for a worker, the longest due first. None while this database is a copy that
 * nobody has looked at, none that wait for a person, and none whose sender is in trouble; with a sender only one of
 * those, to see whether it is over.
 */
export async function claimLetters(
  { sequelize }: Database,
  worker: string,
  most: number,
  sender?: string,
): Promise<OutgoingLetter[]> {
  return sequelize.query<OutgoingLetter>(
    `update message set claimed_by = $worker, claimed_at = date_trunc('milliseconds', clock_timestamp()), tries = tries + 1
     where (business_id, id) in (
       select business_id, id from message
       where status = 'going' and goes_at <= now() and ${sender === undefined ? NO_TROUBLE : OF_SENDER}
         and (claimed_by is null or claimed_by <> $worker and ${WORKER_IS_GONE})
         and goes_at > now() - make_interval(hours => (select hold_after_hours from business where business.id = business_id))
         and exists (select from own_mark where mark = present_mark($machine))
       order by goes_at limit ${Math.floor(most)} for update skip locked)
     returning business_id, id, message_id, from_name, from_address, reply_to, subject, text, signature_at, html, language, at, tries,
       claimed_at, handed_over_at, quoted, (select marks_replies from business where business.id = business_id) as marks_replies,
       (select asks_opened from business where business.id = business_id) as asks_opened,
       ${THREAD} as thread,
       (select coalesce(jsonb_agg(jsonb_build_object('role', role, 'name', name, 'address', address) order by position), '[]')
        from message_recipient one where one.business_id = message.business_id and one.message_id = message.id) as recipients`,
    {
      bind: { worker, machine: machine(), ...(sender === undefined ? {} : { sender }) },
      type: QueryTypes.SELECT,
    },
  );
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

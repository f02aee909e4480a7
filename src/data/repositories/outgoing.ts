import { QueryTypes, type Transaction } from 'sequelize';
import type { Database } from '../database';

/** How long after its claim a letter whose worker fell silent may be taken up by another, in seconds. */
const CLAIM_SECONDS = 120;

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
  tries: number;
  /** tells this claim from any other */
  claimed_at: Date;
  /** a worker had begun to hand it over and was never heard of again */
  handed_over_at: Date | null;
  recipients: { role: 'to' | 'copy' | 'blind copy'; name: string; address: string }[];
}

/** Claims a letter whose time has come, for this worker alone. Undefined: there is nothing to do. */
export async function claimLetter({ sequelize }: Database, id?: string): Promise<OutgoingLetter | undefined> {
  const [claimed] = await sequelize.query<OutgoingLetter>(
    `update message set claimed_at = date_trunc('milliseconds', now())
     where (business_id, id) in (
       select business_id, id from message
       where status = 'going' and goes_at <= now() ${id === undefined ? '' : 'and id = $id'}
         and (claimed_at is null or claimed_at < now() - interval '${CLAIM_SECONDS} seconds')
       order by goes_at limit 1 for update skip locked)
     returning business_id, id, message_id, from_name, from_address, reply_to, subject, text, signature_at, html, language, at, tries,
       claimed_at, handed_over_at,
       (select coalesce(jsonb_agg(jsonb_build_object('role', role, 'name', name, 'address', address) order by position), '[]')
        from message_recipient one where one.business_id = message.business_id and one.message_id = message.id) as recipients`,
    { ...(id === undefined ? {} : { bind: { id } }), type: QueryTypes.SELECT },
  );
  return claimed;
}

/** One worker's hold on a letter. */
export type Claim = Pick<OutgoingLetter, 'business_id' | 'id' | 'claimed_at'>;

/**
 * Notes that the server begins to take the content: from now on the letter may have gone out.
 * @throws Error when another worker has taken the letter over: this one must let go of it
 */
export async function beginHandover(
  { sequelize }: Database,
  { business_id, id, claimed_at }: Claim,
): Promise<void> {
  const [, count] = await sequelize.query(
    `update message set handed_over_at = now()
     where business_id = $business_id and id = $id and status = 'going' and claimed_at = $claimed_at
       and handed_over_at is null`,
    { bind: { business_id, id, claimed_at }, type: QueryTypes.UPDATE },
  );
  if (!count) throw new Error('Another worker has taken this letter over.');
}

/** What became of a try. `again` is when the next one is due; the words are the server's. */
export type Outcome =
  | { status: 'sent'; detail?: string }
  | { status: 'failed'; detail: string }
  | { status: 'going'; detail: string; again: Date };

/** Writes down what became of a try, and lets go of the letter; nothing when it is another worker's by now. */
export async function concludeTry(
  { sequelize, inTransaction }: Database,
  { business_id, id, claimed_at }: Claim,
  outcome: Outcome,
  at: Date,
): Promise<void> {
  await inTransaction(async (transaction) => {
    const [, count] = await sequelize.query(
      `update message set status = $status, reason = $reason, goes_at = $goes_at, claimed_at = null,
         handed_over_at = case when $status = 'going' then null else handed_over_at end,
         tries = tries + 1, version = version + 1
       where business_id = $business_id and id = $id and status = 'going' and claimed_at = $claimed_at`,
      {
        bind: {
          business_id,
          id,
          claimed_at,
          status: outcome.status,
          reason: outcome.detail ?? null,
          goes_at: outcome.status === 'going' ? outcome.again : null,
        },
        type: QueryTypes.UPDATE,
        transaction,
      },
    );
    if (!count) return;
    await addEvent({ sequelize }, { business_id, id }, outcome.status, at, outcome.detail, transaction);
  });
}

/** Takes a letter back that no worker has begun with. Gives whether it was still there to be taken. */
export async function takeBack(
  { sequelize, inTransaction }: Database,
  { business_id, id }: { business_id: string; id: string },
  at: Date,
): Promise<boolean> {
  return inTransaction(async (transaction) => {
    const [, count] = await sequelize.query(
      `update message set status = 'taken back', goes_at = null, version = version + 1
       where business_id = $business_id and id = $id and status = 'going' and claimed_at is null`,
      { bind: { business_id, id }, transaction, type: QueryTypes.UPDATE },
    );
    if (count) await addEvent({ sequelize }, { business_id, id }, 'taken back', at, undefined, transaction);
    return count > 0;
  });
}

async function addEvent(
  { sequelize }: Pick<Database, 'sequelize'>,
  { business_id, id }: { business_id: string; id: string },
  kind: string,
  at: Date,
  detail: string | undefined,
  transaction: Transaction,
): Promise<void> {
  await sequelize.query(
    `insert into delivery_event (business_id, message_id, position, kind, at, detail)
     select $business_id, $id, coalesce(max(position) + 1, 0), $kind, $at, $detail
     from delivery_event where business_id = $business_id and message_id = $id`,
    { bind: { business_id, id, kind, at, detail: detail ?? null }, transaction },
  );
}

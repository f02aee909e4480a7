import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';
import { addEvent } from './deliveryEvents';

/** A change that somebody makes to what became of a letter. */
export interface LetterCure {
  from: readonly string[];
  to?: string;
  dealtWith?: boolean;
  /** what the person saw: later changes of others are not overwritten */
  version: number;
}

/**
 * Does something about a letter that did not go as it should, where it still stands as somebody saw it. One that goes
 * again begins anew, after so many seconds in which it can be taken back.
 * @returns its new version; undefined: it is in another state by now
 */
export async function cureLetter(
  { sequelize, inTransaction }: Database,
  { business_id, member_id }: { business_id: string; member_id: string },
  id: string,
  { from, to, dealtWith, version }: LetterCure,
  { at, seconds, detail }: { at: Date; seconds: number; detail: string },
): Promise<number | undefined> {
  return inTransaction(async () => {
    const [row] = await sequelize.query<{ version: number }>(
      `update message set
         status = coalesce($to, status),
         version = version + 1,
         settled_at = case when $settled then now() end,
         settled_by = case when $settled then $member_id::uuid end
         ${
           to === 'going'
             ? `, goes_at = now() + make_interval(secs => $seconds), tries = 0, reason = null, claimed_by = null,
                claimed_at = null, handed_over_at = null,
                from_address = coalesce(from_address, (select email from member where member.business_id = message.business_id
                  and member.id = message.member_id), (select email from business where business.id = message.business_id))`
             : ''
         }
       where business_id = $business_id and id = $id and version = $version and status = any($from)
       returning version`,
      {
        bind: {
          business_id,
          id,
          member_id,
          version,
          from,
          to: to ?? null,
          settled: dealtWith === true,
          ...(to === 'going' ? { seconds } : {}),
        },
        type: QueryTypes.SELECT,
      },
    );
    if (!row) return undefined;
    if (to) await addEvent({ sequelize }, { business_id, id }, to, at, detail);
    return row.version;
  });
}

/** What went wrong with earlier letters about the same from the same template is dealt with: it has been written anew. */
export async function settleEarlier(
  { sequelize }: Database,
  { business_id, id }: { business_id: string; id: string },
): Promise<void> {
  await sequelize.query(
    `update message set settled_at = now(), settled_by = this.member_id, version = message.version + 1
     from (select * from message where business_id = $business_id and id = $id) this
     where message.business_id = $business_id and message.id <> $id and message.client_id is not distinct from this.client_id
       and message.template_id = this.template_id and message.status in ('failed', 'bounced') and message.settled_at is null
       and (message.invoice_id, message.booking_id, message.project_id, message.enquiry_id)
         is not distinct from (this.invoice_id, this.booking_id, this.project_id, this.enquiry_id)`,
    { bind: { business_id, id } },
  );
}

import { QueryTypes } from 'sequelize';
import type { PastLetter } from '../../core/fitting/fittingTemplates';
import type { Database } from '../database';
import type { RecordScope } from './recordsOfBusiness';

/** A letter from a template that was written; one that is held or has failed counts as long as somebody has to see to it. */
export const WRITTEN_LETTER = `message.direction = 'out' and message.template_id is not null
  and message.status not in ('draft', 'taken back') and (message.status <> 'failed' or message.settled_at is null)`;

/** How far back a member's own letters say which templates are used. */
const LATELY = 500;

/**
 * The letters that were written before from templates, oldest first: all to the clients and enquiries of a scope, and
 * the member's own lately. One that is held or has failed counts as long as somebody has to see to it.
 * @param except the id of a letter that does not count: the one that is being sent
 */
export async function pastLetters(
  { sequelize }: Database,
  business_id: string,
  member_id: string,
  { clients, enquiries = [] }: RecordScope,
  except: string | null = null,
): Promise<PastLetter[]> {
  const rows = await sequelize.query<{
    template: string;
    kind: string;
    /** null: of what is not in the scope nobody asks what it is about */
    key: string | null;
    at: Date;
    member: string | null;
    recipients: string[] | null;
    bounced: boolean;
  }>(
    // Each way to a letter by its own index; together they would have none.
    `with these as (
       (select id from message
         where business_id = $business_id and member_id = $member_id and template_id is not null
         order by at desc limit ${LATELY})
       union select id from message where business_id = $business_id and client_id = any($clients::uuid[])
       union select id from message where business_id = $business_id and enquiry_id = any($enquiries::uuid[])
     )
     select template.key as template, message.at, member.key as member,
       case when invoice_id is not null then 'invoice' when booking_id is not null then 'booking'
         when enquiry_id is not null then 'enquiry' when project_id is not null then 'project' else 'client' end as kind,
       -- Only what a letter of the scope is about is looked up, of the five that it may be tied to.
       case when client_id = any($clients::uuid[]) or enquiry_id = any($enquiries::uuid[]) then coalesce(
         (select key from invoice where business_id = $business_id and id = invoice_id),
         (select key from booking where business_id = $business_id and id = booking_id),
         (select key from enquiry where business_id = $business_id and id = enquiry_id),
         (select key from project where business_id = $business_id and id = project_id),
         (select key from client where business_id = $business_id and id = client_id)) end as key,
       case when client_id = any($clients::uuid[]) or enquiry_id = any($enquiries::uuid[]) then (
         select array_agg(address::text) from message_recipient to_whom
         where to_whom.business_id = $business_id and to_whom.message_id = message.id and role = 'to') end as recipients,
       message.status = 'bounced' as bounced
     from these join message using (id)
     join template on template.business_id = message.business_id and template.id = message.template_id
     left join member on member.business_id = message.business_id and member.id = message.member_id
     where message.business_id = $business_id and ${WRITTEN_LETTER}
       and message.id is distinct from $except::uuid
     order by message.at, message.sequence`,
    { bind: { business_id, member_id, clients, enquiries, except }, type: QueryTypes.SELECT },
  );
  return rows.map(({ template, kind, key, at, member, recipients, bounced }) => ({
    template,
    about: { kind: kind as 'client', key: key ?? '' },
    at: at.toISOString(),
    ...(member ? { member } : {}),
    ...(recipients ? { to: recipients } : {}),
    ...(bounced ? { bounced } : {}),
  }));
}

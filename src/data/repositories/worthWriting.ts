import { QueryTypes } from 'sequelize';
import type { Database } from '../database';
import { OPEN_INVOICE } from './lists/recordLists';
import type { RecordScope } from './recordsOfBusiness';

/** No more occasions of a kind are looked into: nobody writes so many letters in a day. */
const MOST = 60;

/**
 * Whose records hold something worth writing about now, looked for only where core/occasions/rules could find it: visits
 * until `until`, waiting enquiries, invoices overdue, new, due in parts or just paid, jobs that ended lately.
 */
export async function scopeWorthWriting(
  { sequelize }: Database,
  business_id: string,
  now: Date,
  until: Date,
): Promise<RecordScope> {
  const rows = await sequelize.query<{ client_id: string | null; enquiry_id: string | null }>(
    `(select client_id, null::uuid as enquiry_id from booking
      where business_id = $business_id and starts_at >= $now::timestamptz - interval '1 day' and starts_at < $until and status in ('tentative', 'confirmed')
      order by starts_at limit ${MOST})
     union all
     (select client_id, id from enquiry where business_id = $business_id and status = 'waiting'
      order by received_at limit ${MOST})
     union all
     (select client_id, null from invoice where business_id = $business_id and ${OPEN_INVOICE} and due_on <= $day::date
      order by due_on limit ${2 * MOST})
     union all
     (select client_id, null from invoice where business_id = $business_id and ${OPEN_INVOICE} and issued_on > $day::date - 20
      order by issued_on desc limit ${MOST})
     union all
     (select client_id, null from instalment
      join invoice on invoice.business_id = instalment.business_id and invoice.id = instalment.invoice_id
      where instalment.business_id = $business_id and ${OPEN_INVOICE} and instalment.due_on between $day::date - 2 and $day::date + 7
      order by instalment.due_on limit ${MOST})
     union all
     (select client_id, null from payment
      join invoice on invoice.business_id = payment.business_id and invoice.id = payment.invoice_id
      where payment.business_id = $business_id and payment.paid_on > $day::date - 5
      order by payment.paid_on desc limit ${MOST})
     union all
     (select client_id, null from project
      where business_id = $business_id and status = 'finished' and ends_on > $day::date - 23
      order by ends_on desc limit ${MOST})`,
    { bind: { business_id, now, until, day: now.toISOString().slice(0, 10) }, type: QueryTypes.SELECT },
  );
  return {
    clients: [...new Set(rows.flatMap(({ client_id }) => client_id ?? []))],
    enquiries: rows.flatMap(({ enquiry_id }) => enquiry_id ?? []),
  };
}

import { QueryTypes } from 'sequelize';
import type { Database } from '../database';
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
     (select client_id, null from invoice join invoice_sums sums using (business_id)
      where business_id = $business_id and sums.invoice_id = invoice.id and status = 'sent' and total > paid
        and (due_on < $now or issued_on > $now::timestamptz - interval '20 days'
          or exists (select from instalment where instalment.business_id = invoice.business_id
            and instalment.invoice_id = invoice.id and instalment.due_on between $now::timestamptz - interval '2 days' and $now::timestamptz + interval '7 days'))
      order by due_on limit ${2 * MOST})
     union all
     (select client_id, null from invoice join payment using (business_id)
      where business_id = $business_id and payment.invoice_id = invoice.id and payment.paid_on > $now::timestamptz - interval '5 days'
      order by payment.paid_on desc limit ${MOST})
     union all
     (select client_id, null from project
      where business_id = $business_id and status = 'finished' and ends_on > $now::timestamptz - interval '23 days'
      order by ends_on desc limit ${MOST})`,
    { bind: { business_id, now, until }, type: QueryTypes.SELECT },
  );
  return {
    clients: [...new Set(rows.flatMap(({ client_id }) => client_id ?? []))],
    enquiries: rows.flatMap(({ enquiry_id }) => enquiry_id ?? []),
  };
}

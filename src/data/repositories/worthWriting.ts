import { QueryTypes } from 'sequelize';
import type { Occasion } from '../../core/occasions/occasion';
import type { Database } from '../database';
import { OPEN_INVOICE } from './lists/recordLists';
import { WRITTEN_LETTER } from './pastLetters';

/** What may be worth writing about, as the database knows it; core/occasions/rules have the last word. */
export interface Candidate extends Pick<Occasion, 'act' | 'start'> {
  /** ISO date: the day the occasion began */
  since: string;
  client_id: string | null;
  enquiry_id: string | null;
}

/** A day of visits, with the day from which on it is near. ISO dates. */
interface VisitDay {
  day: string;
  near: string;
}

export interface Looking {
  /** IANA name: whose days count */
  zone: string;
  /** ISO date */
  today: string;
  /** the days whose visits are near, and those whose pencilled visits are to be confirmed */
  near: readonly VisitDay[];
  toConfirm: readonly string[];
  /** days between one reminder of an invoice and the next letter about it */
  reminderSpacing: number;
  /** keys of the templates that remind: an invoice that all have been sent about is done with */
  reminders: readonly string[];
}

/** More of one act are not looked for: nobody writes so many letters in a day. */
export const MOST_OF_AN_ACT = 200;

/** A letter about a record, from a day on where one is given. */
const written = (record: 'booking' | 'enquiry' | 'invoice' | 'project', since?: string) =>
  `exists (select from message where message.business_id = $business_id and message.${record}_id = ${record}.id
     and ${WRITTEN_LETTER}
     ${since ? `and (message.at at time zone $zone)::date >= ${since}` : ''})`;

const found = (act: string, kind: string, since: string, rest: string) =>
  `(select '${act}' as act, '${kind}' as kind, ${kind}.key, (${since})::date::text as since, ${kind}.client_id,
      ${kind === 'enquiry' ? 'enquiry.id' : 'null::uuid'} as enquiry_id
    ${rest} limit ${MOST_OF_AN_ACT})`;

/** Of the same type as the column: row security lets no other comparison use its index. */
const moment = (day: string) => `(${day})::timestamptz`;

const BOOKING_DAY = '(booking.starts_at at time zone $zone)::date';

/** One for each rule of core/occasions/rules, in the order in which they press, and in each the most pressing first. */
const QUERIES = [
  found(
    'visit ahead',
    'booking',
    'visits.near',
    `from unnest($days::date[], $nears::date[]) visits(day, near)
     join booking on booking.business_id = $business_id and ${BOOKING_DAY} = visits.day
       and booking.starts_at between ${moment('$today::date')}
         and ${moment('(select max(day) from unnest($days::date[]) day) + 2')}
     where booking.status in ('tentative', 'confirmed') and not ${written('booking', 'visits.near')}
     order by booking.starts_at, booking.key`,
  ),
  found(
    'enquiry answered',
    'enquiry',
    'enquiry.received_at at time zone $zone',
    `from enquiry where enquiry.business_id = $business_id and enquiry.status = 'waiting' and not ${written('enquiry')}
     order by enquiry.received_at, enquiry.key`,
  ),
  found(
    'visit confirmed',
    'booking',
    `${BOOKING_DAY} - 14`,
    `from booking where booking.business_id = $business_id and booking.status = 'tentative'
       and booking.starts_at between ${moment('$today::date')} and ${moment('$today::date + 17')}
       and ${BOOKING_DAY} = any($toConfirm::date[]) and not ${written('booking')}
     order by booking.starts_at, booking.key`,
  ),
  found(
    'payment received',
    'invoice',
    'came.day',
    `from (select invoice_id, max(paid_on) as day from payment
       where business_id = $business_id and paid_on >= $today::date - 3 group by invoice_id) came
     join invoice on invoice.business_id = $business_id and invoice.id = came.invoice_id
     where came.day <= $today::date and invoice.status = 'sent' and not ${written('invoice', 'came.day')}
     order by invoice.issued_on, invoice.number`,
  ),
  found(
    'invoice overdue',
    'invoice',
    'invoice.due_on',
    `from invoice where invoice.business_id = $business_id and ${OPEN_INVOICE} and invoice.due_on <= $today::date - 7
       and not ${written('invoice', '$today::date - $reminderSpacing::int + 1')}
       and (cardinality($reminders::text[]) = 0 or cardinality($reminders::text[]) > (
         select count(distinct template.key) from message
         join template on template.business_id = message.business_id and template.id = message.template_id
         where message.business_id = $business_id and message.invoice_id = invoice.id and ${WRITTEN_LETTER}
           and (message.at at time zone $zone)::date >= invoice.due_on and template.key = any($reminders)))
     order by invoice.due_on, invoice.issued_on, invoice.number`,
  ),
  found(
    'instalment due',
    'invoice',
    'instalment.due_on - 5',
    `from instalment join invoice on invoice.business_id = $business_id and invoice.id = instalment.invoice_id
     cross join lateral (select coalesce(sum(earlier.amount), 0) as amount from instalment earlier
       where earlier.business_id = $business_id and earlier.invoice_id = invoice.id
         and earlier.position < instalment.position) before
     where instalment.business_id = $business_id and ${OPEN_INVOICE}
       and instalment.due_on between $today::date and $today::date + 5
       and before.amount <= invoice.paid and before.amount + instalment.amount > invoice.paid
       and not ${written('invoice', 'instalment.due_on - 5')}
     order by invoice.issued_on, invoice.number`,
  ),
  found(
    'invoice sent',
    'invoice',
    'invoice.issued_on',
    `from invoice where invoice.business_id = $business_id and ${OPEN_INVOICE} and invoice.paid <= 0
       and invoice.issued_on between $today::date - 14 and $today::date
       and (invoice.due_on is null or invoice.due_on >= $today::date) and not ${written('invoice')}
     order by invoice.issued_on, invoice.number`,
  ),
  found(
    'job finished',
    'project',
    'project.ends_on + 7',
    `from project where project.business_id = $business_id and project.status = 'finished'
       and project.ends_on between $today::date - 21 and $today::date - 7
       and not ${written('project', 'project.ends_on')}
     order by project.starts_on, project.key`,
  ),
];

/**
 * What may be worth writing about today, the most pressing first, each record once: looked for only where a rule could
 * find it, and not where the letter has been written.
 */
export async function worthWriting(
  { sequelize }: Database,
  business_id: string,
  { near, ...looking }: Looking,
): Promise<Candidate[]> {
  const rows = await sequelize.query<Omit<Candidate, 'start'> & { kind: string; key: string }>(
    QUERIES.join('\nunion all\n'),
    {
      bind: {
        ...looking,
        business_id,
        days: near.map(({ day }) => day),
        nears: near.map((one) => one.near),
      },
      type: QueryTypes.SELECT,
    },
  );
  const taken = new Set<string>();
  return rows.flatMap(({ kind, key, ...candidate }) => {
    const record = `${kind}:${key}`;
    if (taken.has(record)) return [];
    taken.add(record);
    return [{ ...candidate, start: { kind: kind as 'client', key } }];
  });
}

/** A visit of a day, with whom it is to. */
export interface VisitOfDay {
  key: string;
  starts_at: Date;
  name: string | null;
  service: string | null;
}

/** The visits of one day that are not called off, in their order. */
export async function visitsOfDay(
  { sequelize }: Database,
  business_id: string,
  { zone, today }: Pick<Looking, 'zone' | 'today'>,
): Promise<VisitOfDay[]> {
  return sequelize.query<VisitOfDay>(
    `select booking.key, booking.starts_at, client.name, booking.service from booking
     left join client on client.business_id = booking.business_id and client.id = booking.client_id
     where booking.business_id = $business_id and ${BOOKING_DAY} = $today::date and booking.status <> 'cancelled'
       and booking.starts_at between ${moment('$today::date - 1')} and ${moment('$today::date + 2')}
     order by booking.starts_at, booking.key`,
    { bind: { business_id, zone, today }, type: QueryTypes.SELECT },
  );
}

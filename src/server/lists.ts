import { capital } from '../core/describe/capital';
import { civilOf, readDay } from '../core/dates/civil';
import { wallClockOf } from '../core/dates/zone';
import { formatsOf } from '../core/fill/formats/formatsOf';
import type { Formats } from '../core/fill/formats/formats';
import { RecordBook } from '../core/records/recordBook';
import { numberForms } from '../core/searching/numberForms';
import {
  bookingList,
  clientList,
  enquiryList,
  invoiceList,
  projectList,
} from '../data/repositories/recordLists';
import { recordsOfBusiness } from '../data/repositories/recordsOfBusiness';
import { now } from './clock';
import { connection } from './connection';
import type { CurrentMember } from './currentMember';
import { forMember } from './forMember';

/** A row of a list: what it is called, what tells it from others, and what needs somebody. */
export interface ListEntry {
  key: string;
  name: string;
  note: string;
  /** the heading it stands under */
  day?: string;
  /** said in words beside the note: "24 days overdue" */
  state?: { words: string; kind: 'needs you' | 'waiting' | 'in order' };
  /** other words it is found by */
  also?: string;
}

/** The business without its clients: how dates and sums are written. */
async function businessBook(business_id: string): Promise<RecordBook> {
  const records = await recordsOfBusiness(connection(), business_id, { clients: [] });
  return new RecordBook(records!, now());
}

export const listClients = forMember(async ({ business_id }: CurrentMember): Promise<ListEntry[]> => {
  const [book, rows] = await Promise.all([businessBook(business_id), clientList(connection(), business_id)]);
  const formats = formatsOf(book);
  const forms = numberForms(formats.settings.home);
  return rows.map(({ key, name, kind, address, email, numbers, people, unpaid, tags, invoices }) => ({
    key,
    name,
    note: [kind, address?.town].filter(Boolean).join(', '),
    ...(unpaid > 0 ? { state: { words: `${formats.money(unpaid)} open`, kind: 'waiting' as const } } : {}),
    also: [
      email,
      people,
      address?.street?.join(' '),
      address?.postcode,
      address?.postcode?.replace(/\s/g, ''),
      numbers?.map(forms).join(' '),
      tags.join(' '),
      invoices,
    ]
      .filter(Boolean)
      .join(' '),
  }));
});

export const listEnquiries = forMember(async ({ business_id }: CurrentMember): Promise<ListEntry[]> => {
  const [book, rows] = await Promise.all([businessBook(business_id), enquiryList(connection(), business_id)]);
  const formats = formatsOf(book);
  return rows.map(({ key, name, service, status, received_at }) => ({
    key,
    name,
    note: [service, formats.fromNow(formats.dayOf(received_at.getTime()), book.today)]
      .filter(Boolean)
      .join(', '),
    ...(status === 'waiting'
      ? { state: { words: 'waiting', kind: 'needs you' as const } }
      : { state: { words: status, kind: 'in order' as const } }),
  }));
});

export const listProjects = forMember(async ({ business_id }: CurrentMember): Promise<ListEntry[]> => {
  const [book, rows] = await Promise.all([businessBook(business_id), projectList(connection(), business_id)]);
  const formats = formatsOf(book);
  return rows.map(({ key, title, client, status, starts_on }) => {
    const day = readDay(starts_on ?? '');
    return {
      key,
      name: title,
      note: [client, day === undefined ? undefined : formats.date(day, 'month')].filter(Boolean).join(', '),
      state: { words: status, kind: status === 'active' ? 'waiting' : 'in order' },
    };
  });
});

export const listBookings = forMember(async ({ business_id }: CurrentMember): Promise<ListEntry[]> => {
  const [book, rows] = await Promise.all([
    businessBook(business_id),
    bookingList(connection(), business_id, new Date(now())),
  ]);
  const formats = formatsOf(book);
  return rows.map(({ key, service, client, status, starts_at }) => ({
    key,
    name: client,
    day: dayHeading(starts_at, formats, book),
    note: `${formats.time(starts_at.getTime())}, ${service}`,
    ...(status === 'confirmed' || status === 'done'
      ? {}
      : {
          state: {
            words: status,
            kind: status === 'tentative' ? ('waiting' as const) : ('needs you' as const),
          },
        }),
  }));
});

/** “Today, Friday 27 November”, “Earlier today, …”, “Monday 30 November”; with its year when that is another. */
function dayHeading(starts_at: Date, formats: Formats, book: RecordBook): string {
  const { day } = wallClockOf(starts_at.getTime(), book.zone);
  const sameYear = civilOf(day).year === civilOf(book.today).year;
  const date = `${formats.date(day, 'weekday')} ${formats.date(day, sameYear ? 'day and month' : 'date')}`;
  if (day === book.today && starts_at.getTime() < book.now) return `Earlier today, ${date}`;
  return Math.abs(day - book.today) <= 1 ? `${capital(formats.fromNow(day, book.today))}, ${date}` : date;
}

export const listInvoices = forMember(async ({ business_id }: CurrentMember): Promise<ListEntry[]> => {
  const [book, rows] = await Promise.all([businessBook(business_id), invoiceList(connection(), business_id)]);
  const formats = formatsOf(book);
  return rows.map(({ key, number, client, status, due_on, total, paid }) => {
    const due = readDay(due_on ?? '');
    const open = status === 'sent' && total > paid;
    const days = due === undefined ? 0 : book.today - due;
    const words = !open
      ? status === 'sent'
        ? 'paid'
        : status
      : days > 0
        ? `${days} ${days === 1 ? 'day' : 'days'} overdue`
        : paid > 0
          ? 'part paid'
          : 'open';
    return {
      key,
      name: `${number}, ${client}`,
      note: formats.money(open ? total - paid : total),
      state: { words, kind: !open ? 'in order' : days > 0 ? 'needs you' : 'waiting' },
    };
  });
});

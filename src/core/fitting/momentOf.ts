import { dayAt } from '../dates/zone';
import type { Formats } from '../fill/formats/formats';
import { startOf } from '../records/recordBook';
import type { Situation } from '../records/which/situation';
import { readDay } from '../dates/civil';
import type { Topics } from './speaksOf';

/** How a template's topics meet the moment: in words, and whether it is the moment for it. */
export interface Aptness {
  /** 1: this is its moment; 0: it can be used; -1: it would say something that is not so */
  apt: 1 | 0 | -1;
  reason?: string;
  /** its moment was some time ago; or it is for just these days */
  late?: true;
  near?: true;
}

/** An invoice by its state, a visit by the time until it; other starting points have no moment. */
export function momentOf(topics: Topics, situation: Situation, formats: Formats): Aptness {
  const off = calledOff(situation);
  if (off) return { apt: -1, reason: off };
  if (situation.start.kind === 'invoice') return ofInvoice(topics, situation, formats);
  if (situation.start.kind === 'booking') return ofVisit(topics, situation, formats);
  return { apt: 0 };
}

/** A record that is no longer meant: a letter about it as if it were would not be so. */
function calledOff({ start, booking, invoice, project, book }: Situation): string | undefined {
  switch (start.kind) {
    case 'booking':
      return booking?.record.status === 'cancelled' ? `The ${book.words.booking} is cancelled` : undefined;
    case 'invoice':
      return invoice?.record.status === 'void'
        ? 'It is void'
        : invoice?.record.status === 'draft'
          ? 'It is still a draft'
          : undefined;
    case 'project':
      return project?.record.status === 'cancelled' ? 'The project is cancelled' : undefined;
    default:
      return undefined;
  }
}

/** A payment that came longer ago is no news, in days. */
const LATELY = 14;

function ofInvoice(topics: Topics, { book, invoice }: Situation, formats: Formats): Aptness {
  const { state, daysOverdue, lastPayment } = book.sumsOf(invoice!.record);
  if (topics.overdue) {
    return state === 'overdue'
      ? { apt: 1, reason: `${daysOverdue} ${daysOverdue === 1 ? 'day' : 'days'} overdue` }
      : { apt: -1, reason: state === 'paid' ? 'It is paid' : 'It is not overdue' };
  }
  if (topics.paid) {
    const day = readDay(lastPayment?.paid_on ?? '');
    if (day === undefined) return { apt: -1, reason: 'Nothing has been paid yet' };
    return {
      apt: state === 'paid' ? 1 : 0,
      reason: `Paid on ${formats.date(day, 'day and month')}`,
      ...(book.today - day > LATELY ? { late: true as const } : {}),
    };
  }
  if (topics.encloses) {
    if (state === 'open') return { apt: 1, reason: 'It is not due yet' };
    if (state === 'paid') return { apt: -1, reason: 'It is paid' };
  }
  return { apt: 0 };
}

/** The days before a visit in which a letter that says "tomorrow" or "in 3 days" is wanted. */
const SOON = 3;

function ofVisit(topics: Topics, { book, booking }: Situation, formats: Formats): Aptness {
  const record = booking!.record;
  const start = startOf(record);
  const days = dayAt(start, book.zone) - book.today;
  if (start < book.now) {
    if (topics.soon || topics.visit) return { apt: -1, reason: `The ${book.words.booking} is over` };
    return {
      apt: 1,
      reason: `The ${book.words.booking} was ${formats.fromNow(book.today + days, book.today)}`,
    };
  }
  if (topics.after) return { apt: -1, reason: `The ${book.words.booking} is still to come` };
  const when = `The ${book.words.booking} is ${formats.fromNow(book.today + days, book.today)}`;
  if (topics.soon) return days <= SOON ? { apt: 1, reason: when, near: true } : { apt: -1, reason: when };
  if (topics.visit) return { apt: days > SOON ? 1 : 0, reason: when };
  return { apt: 0 };
}

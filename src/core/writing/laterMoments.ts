import { readDay, type Day } from '../dates/civil';
import { plusWorkingDays } from '../dates/workingDays';
import { dayAt, isoMoment, momentOf, readMoment, wallClockOf, type Moment } from '../dates/zone';
import { capital } from '../describe/capital';
import { formatsOf } from '../fill/formats/formatsOf';
import type { RecordBook } from '../records/recordBook';
import type { Situation } from '../records/which/situation';

/** A moment that a letter may be put off to, as its writer thinks of it. */
export interface LaterMoment {
  /** "Tomorrow at 08:00", "The evening before the visit, 29 November at 18:00" */
  words: string;
  /** ISO 8601 with the offset of the business's zone */
  at: string;
}

const HOUR = 3_600_000;
/** When a reader's working day begins and ends. */
const MORNING = 8 * HOUR;
const EVENING = 18 * HOUR;
/** A letter goes within so many days, or is not for later but forgotten. */
const WITHIN_DAYS = 366;

/** The moments that a letter is likely to be put off to, by the business's clock, the soonest first. */
export function laterMoments({ start, book, booking, invoice }: Situation): LaterMoment[] {
  const { today, zone, workingDays } = book;
  const visit = book.words.booking;
  const starts = dayOfMoment(booking?.record.starts_at, zone);
  const ends = dayOfMoment(booking?.record.ends_at, zone) ?? starts;
  const due = start.kind === 'invoice' ? readDay(invoice?.record.due_on ?? '') : undefined;
  const thought: [words: string, day: Day | undefined, time: number][] = [
    ['This evening', today, EVENING],
    ['Tomorrow', today + 1, MORNING],
    ['', plusWorkingDays(today, 1, workingDays), MORNING],
    [`The evening before the ${visit}`, starts && starts - 1, EVENING],
    [`The morning after the ${visit}`, ends && ends + 1, MORNING],
    ['The day after the invoice is due', due && due + 1, MORNING],
  ];
  const seen = new Set<Moment>();
  return thought
    .flatMap(([words, day, time]) =>
      day === undefined ? [] : { words, moment: momentOf({ day, time }, zone) },
    )
    .filter(({ moment }) => !whyNotLater(moment, book) && !seen.has(moment) && seen.add(moment))
    .sort((a, b) => a.moment - b.moment)
    .map(({ words, moment }) => ({ words: named(words, moment, book), at: isoMoment(moment, zone) }));
}

/** Why a letter cannot be put off to a moment, in words; undefined: it can. */
export function whyNotLater(moment: Moment | undefined, book: RecordBook): string | undefined {
  if (moment === undefined) return 'That is no day and time. Choose both.';
  if (moment <= book.now) return `${capital(laterInWords(moment, book))} has passed. Choose another time.`;
  if (dayAt(moment, book.zone) - book.today > WITHIN_DAYS)
    return `That is more than a year away. A letter can wait ${WITHIN_DAYS} days.`;
  return undefined;
}

/** A moment as it is said of a letter that waits for it: "tomorrow at 08:00", "Monday, 30 November 2026 at 08:00". */
export function laterInWords(moment: Moment, book: RecordBook): string {
  const { day } = wallClockOf(moment, book.zone);
  const formats = formatsOf(book);
  const isNear = Math.abs(day - book.today) < 2;
  return `${isNear ? formats.fromNow(day, book.today) : formats.date(day, 'long date')} at ${formats.time(moment)}`;
}

function named(words: string, moment: Moment, book: RecordBook): string {
  if (!words) return capital(laterInWords(moment, book));
  const { day } = wallClockOf(moment, book.zone);
  const formats = formatsOf(book);
  const date = day - book.today > 1 ? `, ${formats.date(day, 'day and month')}` : '';
  return `${words}${date} at ${formats.time(moment)}`;
}

function dayOfMoment(iso: string | undefined, zone: string): Day | undefined {
  const moment = readMoment(iso ?? '');
  return moment === undefined ? undefined : dayAt(moment, zone);
}

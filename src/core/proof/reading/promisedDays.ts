import { isoOf, nextWeekday, readDayAtStart, type Day } from '../../dates/civil';
import { dateWords, nameKey } from '../../dates/dateWords';
import type { Note } from '../../fill/filled';
import type { Situation } from '../../records/which/situation';
import type { Place } from '../proofMark';
import { cuesOf } from '../../reading/cues';
import { datesIn } from '../../reading/datesIn';
import { bodyOf, isSaidByField, type Line } from './lines';

/** A day that a letter offers, and where. */
export interface PromisedDay {
  /** ISO */
  day: string;
  at: Place;
}

/** What is read: a letter as it stands, and what its fields and blanks say. */
interface Read {
  lines: readonly Line[];
  notes: readonly Note[];
  /** BCP 47 */
  language: string;
  /** whether a blank of this name asks for a day */
  asksForDay: (blank: string) => boolean;
}

/** More than so many are not offered in one letter. */
export const MOST_PROMISED = 31;

/** A word that may be a weekday's name. */
const WORD = /\p{L}{4,}/gu;

/**
 * The days to come that a letter which answers an enquiry offers, each once: answers to its blanks, and days written by hand that were not
 * asked for. Other letters offer none.
 */
export function promisedDays(
  { lines, notes, language, asksForDay }: Read,
  { start, enquiry, book }: Situation,
): PromisedDay[] {
  if (start.kind !== 'enquiry' || !enquiry) return [];
  const wanted = new Set(enquiry.record.wanted_on ?? []);
  const until = cuesOf(language)?.until;
  const answers = new Map(
    notes.flatMap(({ id, path, record, raw }) =>
      record === undefined && asksForDay(path) && typeof raw === 'string' ? [[id, raw] as const] : [],
    ),
  );
  const days = new Map<string, PromisedDay>();
  const add = (day: string, line: Line, { from, to }: { from: number; to: number }) => {
    const isToCome = (readDayAtStart(day) ?? book.today) > book.today;
    if (isToCome && !days.has(day) && days.size < MOST_PROMISED)
      days.set(day, { day, at: { line: line.index, from, to } });
  };
  for (const line of bodyOf(lines)) {
    for (const value of line.values) {
      const day = answers.get(value.id);
      if (day !== undefined && value.asItIs) add(day, line, value);
    }
    for (const { day, from, to } of datesIn(line.text, language, book.today)) {
      const iso = isoOf(day);
      if (isSaidByField(line, from, to) || wanted.has(iso) || until?.test(line.text.slice(0, from))) continue;
      add(iso, line, { from, to });
    }
  }
  return [...days.values()];
}

/** The last day until which a letter says that something holds, before another day: "until Monday", "bis zum 30. November". */
export function dayNamedAsUntil(
  lines: readonly Line[],
  language: string,
  { today, before }: { today: Day; before: Day },
): Day | undefined {
  const until = cuesOf(language)?.until;
  if (!until) return undefined;
  const { weekdays } = dateWords(language);
  const named = bodyOf(lines).flatMap(({ text, values }) => {
    // What a client wrote, and is quoted, is nobody's word of ours.
    const isQuoted = (at: number) => values.some(({ from, to }) => from < at - 1 && at < to);
    const dates = datesIn(text, language, today);
    const byName = [...text.matchAll(WORD)].flatMap(({ 0: word, index }) => {
      const weekday = weekdays.get(nameKey(word));
      const isPart = dates.some(({ from, to }) => from <= index && index < to);
      return weekday === undefined || isPart ? [] : [{ from: index, day: nextWeekday(today, weekday) }];
    });
    return [...dates, ...byName].flatMap(({ from, day }) =>
      !isQuoted(from) && until.test(text.slice(0, from)) ? [day] : [],
    );
  });
  const possible = named.filter((day) => day >= today && day < before);
  return possible.length ? Math.max(...possible) : undefined;
}

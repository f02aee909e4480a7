import { civilOf, dayOf, daysInMonth, nextWeekday, readDay, weekdayOf, type Day } from './civil';
import { dateWords, monthNamed, weekdayNamed, type DateWords } from './dateWords';

/** A day without a year is the next one, unless it has passed by no more than so many days. */
const JUST_PASSED = 30;

/** Words that may stand in a date and say nothing of it. */
const AMID = new Set(['the', 'of', 'on', 'den', 'der', 'am', 'dem', 'le', 'du', 'de']);

/** Nobody types a day longer than this. */
const LONGEST = 60;

interface Reading {
  /** the business's, BCP 47: whose names of months and weekdays, and in which order figures stand */
  locale: string;
  today: Day;
}

/**
 * Reads a day as somebody types it in a hurry: "9 Dec", "9/12", "9.12.26", "Wed 9 December", "2026-12-09", "Friday" (the next one),
 * "tomorrow".
 * @returns undefined: it is no day, or its weekday is another's
 */
export function readTypedDay(text: string, { locale, today }: Reading): Day | undefined {
  const typed = text.trim().toLowerCase();
  if (typed.length > LONGEST) return undefined;
  const iso = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})$/.exec(typed);
  if (iso) return readDay([iso[1], iso[2]!.padStart(2, '0'), iso[3]!.padStart(2, '0')].join('-'));
  const near = dayNamed(typed, locale);
  if (near !== undefined) return today + near;

  const words = dateWords(locale);
  const all = typed.split(/[\s,./-]+/).filter((one) => one && !AMID.has(one));
  const numbers = all.flatMap((one) => /^(\d{1,4})(?:st|nd|rd|th|er)?$/.exec(one)?.[1] ?? []);
  const named = readNames(
    all.filter((one) => !/^\d/.test(one)),
    words,
  );
  if (!named || numbers.length > 3) return undefined;
  const { weekday } = named;
  if (named.month === undefined && weekday !== undefined && numbers.length === 0)
    return nextWeekday(today, weekday);
  let { month } = named;
  if (month === undefined && numbers.length > 1)
    [month] = numbers.splice(words.monthFirst ? 0 : 1, 1).map(Number);
  const [number = '', year = '', ...more] = numbers;
  if (!month || number.length > 2 || more.length) return undefined;
  const day = civil({ day: Number(number), month, year }, today);
  return weekday !== undefined && day !== undefined && weekdayOf(day) !== weekday ? undefined : day;
}

/** Which of the names is the month and which the weekday: "mar" may be either. Undefined: there is one that is neither. */
function readNames(
  names: readonly string[],
  words: DateWords,
): { weekday?: number | undefined; month?: number | undefined } | undefined {
  const [first, second, ...more] = names;
  if (first === undefined) return {};
  if (more.length) return undefined;
  if (second === undefined) {
    const month = monthNamed(first, words);
    const weekday = weekdayNamed(first, words);
    return month === undefined ? (weekday === undefined ? undefined : { weekday }) : { month };
  }
  for (const [day, name] of [
    [first, second],
    [second, first],
  ] as const) {
    const read = { weekday: weekdayNamed(day, words), month: monthNamed(name, words) };
    if (read.weekday !== undefined && read.month !== undefined) return read;
  }
  return undefined;
}

function civil(
  { day, month, year }: { day: number; month: number; year: string },
  today: Day,
): Day | undefined {
  const on = (y: number) =>
    month <= 12 && day >= 1 && day <= daysInMonth(y, month) ? dayOf({ year: y, month, day }) : undefined;
  if (year) return year.length === 4 || year.length === 2 ? on(Number(year.padStart(4, '20'))) : undefined;
  const now = civilOf(today).year;
  // The 29th of February may be years away.
  for (let y = now - 1; y <= now + 8; y++) {
    const one = on(y);
    if (one !== undefined && one >= today - JUST_PASSED) return one;
  }
  return undefined;
}

/** "yesterday", "today", "tomorrow" in the language or in English, as days from today. */
function dayNamed(typed: string, locale: string): number | undefined {
  for (const language of [locale, 'en']) {
    const format = new Intl.RelativeTimeFormat(language, { numeric: 'auto' });
    for (const days of [0, 1, 2, -1]) if (format.format(days, 'day').toLowerCase() === typed) return days;
  }
  return undefined;
}

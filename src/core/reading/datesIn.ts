import { escaped } from './escaped';
import { civilOf, dayOf, daysInMonth, type Day } from '../dates/civil';
import { dateWords, nameKey, type DateWords } from '../dates/dateWords';

/** A date as it is written in a text. */
export interface WrittenDate {
  from: number;
  to: number;
  day: Day;
  /** the weekday that is written with it: 1 Monday to 7 Sunday, and where it stands */
  weekday?: { number: number; from: number; to: number };
}

interface Words extends DateWords {
  pattern: RegExp;
}

const known = new Map<string, Words>();

/**
 * The dates in a text, as people of a language write them: “Tuesday, 3 March 2026”, “3rd of March”, “March 3”, “3/3/2026”, “Dienstag,
 * den 3. März”. Where no year is written it is the one that brings the day next to today.
 * @param locale BCP 47: whose names of months and weekdays, and in which order figures stand
 */
export function datesIn(text: string, locale: string, today: Day): WrittenDate[] {
  const words = wordsOf(locale);
  const found: WrittenDate[] = [];
  for (const match of text.matchAll(words.pattern)) {
    const g = match.groups!;
    const month = g.month ?? g.monthFirst;
    const numbers: [string, string] = words.monthFirst ? [g.second!, g.first!] : [g.first!, g.second!];
    const date = month
      ? civil(g.day ?? g.dayAfter!, words.months.get(nameKey(month)), g.year ?? g.yearAfter, today)
      : g.iso
        ? civil(g.isoDay!, Number(g.isoMonth), g.iso, today)
        : civil(numbers[0], Number(numbers[1]), g.figureYear, today);
    if (date === undefined) continue;
    const from = match.index;
    const to = from + match[0].length;
    const name = g.weekday ?? g.weekdayAfter;
    const number = name && words.weekdays.get(nameKey(name));
    const at = name ? (g.weekday ? text.indexOf(name, from) : text.lastIndexOf(name, to)) : 0;
    found.push({
      from,
      to,
      day: date,
      ...(number && name ? { weekday: { number, from: at, to: at + name.length } } : {}),
    });
  }
  return found;
}

/** A weekday as a language calls it, as long or short as it was written. */
export function weekdayName(number: number, locale: string, like: string): string {
  const form = (weekday: 'long' | 'short') =>
    new Intl.DateTimeFormat(locale, { weekday, timeZone: 'UTC' }).format((number + 3) * 86_400_000);
  return like.replace('.', '').length <= 4 ? form('short') : form('long');
}

function civil(
  day: string,
  month: number | undefined,
  year: string | undefined,
  today: Day,
): Day | undefined {
  if (!month || month > 12) return undefined;
  const number = Number(day);
  const on = (y: number) =>
    number >= 1 && number <= daysInMonth(y, month) ? dayOf({ year: y, month, day: number }) : undefined;
  if (year) return on(year.length === 2 ? 2000 + Number(year) : Number(year));
  const now = civilOf(today).year;
  const near = [now - 1, now, now + 1].flatMap((y) => on(y) ?? []);
  return near.sort((a, b) => Math.abs(a - today) - Math.abs(b - today))[0];
}

function wordsOf(locale: string): Words {
  let words = known.get(locale);
  if (!words) known.set(locale, (words = readWords(locale)));
  return words;
}

function readWords(locale: string): Words {
  const { months, weekdays, monthFirst } = dateWords(locale);
  const any = (names: ReadonlyMap<string, number>) =>
    [...names.keys()]
      .sort((a, b) => b.length - a.length)
      .map(escaped)
      .join('|');
  const weekday = `(?:(?:${any(weekdays)})(?!\\.)|(?:${any(shortOf(weekdays))})\\.)`;
  // A full stop behind it may end the sentence.
  const month = `(?:${any(months)})\\b(?:\\.(?=[,\\s]+\\d))?`;
  const the = '(?:(?:the|den|dem|le)\\s)?';
  const year = '(?:,?\\s(?<year>\\d{4})(?!\\d))?';
  const day = '\\d{1,2}(?!\\d)';
  const before = `(?<![\\p{L}\\d.,/-])(?:(?<weekday>${weekday}),?\\s${the})?`;
  const after = `(?:,?\\s?\\((?<weekdayAfter>${weekday})\\))?`;
  const named = `(?:(?<day>${day})(?:st|nd|rd|th|er|\\.)?\\s(?:of\\s)?(?<month>${month})${year}|(?<monthFirst>${month})\\s(?<dayAfter>${day})(?:st|nd|rd|th)?${year.replace('<year>', '<yearAfter>')})`;
  const figures =
    '(?:(?<iso>\\d{4})-(?<isoMonth>\\d{2})-(?<isoDay>\\d{2})|(?<first>\\d{1,2})(?<mark>[./])\\s?(?<second>\\d{1,2})\\k<mark>\\s?(?<figureYear>\\d{4}|\\d{2}))(?![\\d])';
  return {
    months,
    weekdays,
    monthFirst,
    pattern: new RegExp(`${before}(?:${named}|${figures})${after}`, 'giu'),
  };
}

/** Only what is cut short has a full stop behind it. */
function shortOf(names: ReadonlyMap<string, number>): ReadonlyMap<string, number> {
  return new Map([...names].filter(([name]) => name.length <= 4));
}

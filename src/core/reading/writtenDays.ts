import { escaped } from './escaped';
import { civilOf, weekdayOf, type Day } from '../dates/civil';
import { dateWords, nameKey, weekdayNamed, type DateWords } from '../dates/dateWords';

/** What is written of a day, as far as it is: “Tue 3rd”, “3/12”, “Tuesday, 9 December 2026”. */
export interface WrittenDay {
  from: number;
  to: number;
  /** 1 Monday to 7 Sunday */
  weekday?: number;
  day?: number;
  month?: number;
  year?: number;
}

interface Patterns {
  words: DateWords;
  all: RegExp;
}

const known = new Map<string, Patterns>();

/** The days in a text with what is written of them, in the locale's language or English. @param locale BCP 47 */
export function writtenDays(text: string, locale: string): WrittenDay[] {
  let patterns = known.get(locale);
  if (!patterns) known.set(locale, (patterns = patternsOf(locale)));
  const { words, all } = patterns;
  return [...text.matchAll(all)].flatMap((match): WrittenDay[] => {
    const g = match.groups!;
    const from = match.index;
    const to = from + match[0].length;
    const name = g.weekday ?? g.weekdayBefore ?? g.alone;
    const weekday = name === undefined ? undefined : weekdayNamed(nameKey(name), words);
    const monthName = g.month ?? g.monthFirst ?? g.monthAlone;
    const [day, month] = g.second && words.monthFirst ? [g.second, g.first] : [g.first, g.second];
    const read = {
      weekday,
      day: number(g.day ?? g.dayAfter ?? g.ordinal ?? g.onlyDay ?? g.isoDay ?? day),
      month: monthName === undefined ? number(g.isoMonth ?? month) : words.months.get(nameKey(monthName)),
      year: yearOf(g.year ?? g.yearAfter ?? g.iso ?? g.figureYear ?? g.yearAlone),
    };
    const given = Object.entries(read).filter(([, value]) => value !== undefined);
    const isReal = (read.day ?? 1) <= 31 && (read.month ?? 1) <= 12;
    return given.length && isReal ? [{ from, to, ...(Object.fromEntries(given) as object) }] : [];
  });
}

/** Whether what is written of a day is so of another. */
export function isDay(written: WrittenDay, day: Day): boolean {
  const civil = { ...civilOf(day), weekday: weekdayOf(day) };
  return (['weekday', 'day', 'month', 'year'] as const).every(
    (part) => written[part] === undefined || written[part] === civil[part],
  );
}

function number(text: string | undefined): number | undefined {
  return text === undefined ? undefined : Number(text);
}

function yearOf(text: string | undefined): number | undefined {
  if (text === undefined) return undefined;
  return text.length === 2 ? 2000 + Number(text) : Number(text);
}

function patternsOf(locale: string): Patterns {
  const words = dateWords(locale);
  const any = (names: Iterable<string>) =>
    [...names]
      .sort((a, b) => b.length - a.length)
      .map(escaped)
      .join('|');
  const weekdays = any(words.weekdays.keys());
  const longWeekdays = any([...words.weekdays.keys()].filter((name) => name.length > 3));
  const months = any(words.months.keys());
  const the = '(?:(?:the|den|dem|le)\\s)?';
  const day = '\\d{1,2}(?!\\d)';
  const th = '(?:st|nd|rd|th|er|\\.)?';
  const month = `(?:${months})(?!\\p{L})(?:\\.(?=[,\\s]+\\d))?`;
  const year = '(?:,?\\s(?<year>\\d{4})(?!\\d))?';
  const weekday = (name: string) => `(?<${name}>${weekdays})(?!\\p{L})\\.?,?\\s${the}`;
  const named = `(?:${weekday('weekday')})?(?:(?<day>${day})${th}\\s(?:of\\s)?(?<month>${month})${year}|(?<monthFirst>${month})\\s(?<dayAfter>${day})(?:st|nd|rd|th)?${year.replace('<year>', '<yearAfter>')})`;
  const ofMonth = `${weekday('weekdayBefore')}(?<ordinal>${day})(?:st|nd|rd|th|er|\\.(?=\\s?(?:[,;!?)]|\\p{Ll}|um|à|$)))`;
  const figures =
    '(?:(?<iso>\\d{4})-(?<isoMonth>\\d{2})-(?<isoDay>\\d{2})|(?<first>\\d{1,2})(?<mark>[./])(?<second>\\d{1,2})(?:\\k<mark>(?<figureYear>\\d{4}|\\d{2})|(?=[^\\d./]|$|\\.(?!\\d))))(?![\\d])';
  const inMonth = '(?:the\\s)?(?<onlyDay>\\d{1,2})(?:st|nd|rd|th)(?![\\p{L}\\d-])';
  const alone = `(?<alone>${longWeekdays})(?!\\p{L})`;
  const monthAlone = `(?<monthAlone>${months})(?!\\p{L})\\s(?<yearAlone>\\d{4})(?!\\d)`;
  return {
    words,
    all: new RegExp(
      `(?<![\\p{L}\\p{N}.,/£$€-])(?:${named}|${ofMonth}|${figures}|${monthAlone}|${inMonth}|${alone})`,
      'giu',
    ),
  };
}

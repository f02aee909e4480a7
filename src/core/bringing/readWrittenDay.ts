import { readDay } from '../dates/civil';
import { dateWords, monthNamed } from '../dates/dateWords';

/**
 * Reads a day as people and programs write it: "2026-03-31", "31/03/2026", "31.3.2026", "31 March 2026", with a time behind it or
 * not. Where only the order tells day from month, the locale's holds. Gives the ISO date; undefined where there is no such day.
 */
export function readWrittenDay(words: string, locale: string): string | undefined {
  const text = words.trim();
  const iso = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[T\s].*)?$/.exec(text);
  if (iso) return real(iso[1]!, iso[2]!, iso[3]!);
  const figures = /^(\d{1,2})[-/.](\d{1,2})[-/.](\d{2}|\d{4})(?:[\sT].*)?$/.exec(text);
  if (figures) {
    const [, first = '', second = '', year = ''] = figures;
    const [day, month] = dateWords(locale).monthFirst ? [second, first] : [first, second];
    return real(whole(year), month, day);
  }
  const named = /^(\d{1,2})(?:st|nd|rd|th)?\.?\s+(\p{L}{3,})\.?,?\s+(\d{4})$/u.exec(text);
  const month = named && monthNamed(named[2]!, dateWords(locale));
  return named && month ? real(named[3]!, String(month), named[1]!) : undefined;
}

function real(year: string, month: string, day: string): string | undefined {
  const iso = `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  return readDay(iso) === undefined ? undefined : iso;
}

/** "26" is 2026, "87" is 1987. */
function whole(year: string): string {
  if (year.length === 4) return year;
  return Number(year) < 70 ? `20${year}` : `19${year}`;
}

import Holidays from 'date-holidays';
import { isoOf } from '../../core/dates/civil';
import { dayAt } from '../../core/dates/zone';
import { countryOf } from '../../core/fill/formats/address';
import { now } from '../clock';

/** So many years from this one on. */
const YEARS = 2;

/** The public holidays that come in the country of a locale, by the package date-holidays; none where it knows none. */
export function publicHolidays(locale: string, timeZone: string): { date: string; name: string }[] {
  const today = isoOf(dayAt(now(), timeZone));
  const known = new Holidays(countryOf(locale));
  const first = Number(today.slice(0, 4));
  return Array.from({ length: YEARS }, (_, i) => known.getHolidays(first + i))
    .flat()
    .filter(({ type }) => type === 'public')
    .map(({ date, name }) => ({ date: date.slice(0, 10), name }))
    .filter(({ date }, i, all) => date >= today && all.findIndex((other) => other.date === date) === i);
}

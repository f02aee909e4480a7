import { isoOf, weekdayOf, type Day } from '../../core/dates/civil';
import { isoMoment, momentOf } from '../../core/dates/zone';

const NOTATION = /^([+-]\d+)(d|wd)(?: (\d\d):(\d\d))?$/;

/** Where the demonstration data is laid: the day it is loaded on, in the business's zone. */
export interface Anchor {
  today: Day;
  zone: string;
}

/**
 * Reads "-24d" (calendar days), "+3wd" (working days; 0wd is today or the next working day) and either with a time.
 * @returns an ISO date, with a time an ISO moment; undefined when the text is neither
 */
export function relativeDay(text: string, { today, zone }: Anchor): string | undefined {
  const found = NOTATION.exec(text);
  if (!found) return undefined;
  const [, count, unit, hours, minutes] = found;
  const day = unit === 'd' ? today + Number(count) : workingDay(today, Number(count));
  if (hours === undefined) return isoOf(day);
  const time = (Number(hours) * 60 + Number(minutes)) * 60_000;
  return isoMoment(momentOf({ day, time }, zone), zone);
}

/** Monday to Friday; holidays would move with the day the data is loaded, so they are left out. */
function workingDay(today: Day, count: number): Day {
  let day = today;
  while (weekdayOf(day) > 5) day++;
  const step = count < 0 ? -1 : 1;
  for (let left = Math.abs(count); left > 0; left--) {
    do day += step;
    while (weekdayOf(day) > 5);
  }
  return day;
}

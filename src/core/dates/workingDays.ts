import { weekdayOf, type Day } from './civil';

/** When a business works: weekdays 1 (Monday) to 7 (Sunday), less its holidays. */
export interface WorkingDays {
  weekdays: ReadonlySet<number>;
  holidays: ReadonlySet<Day>;
}

/** Longest run without a working day that is searched before the answer is "none": ten years. */
const LIMIT = 3653;

/** Whether the business works on a day. */
export function isWorkingDay(day: Day, week: WorkingDays): boolean {
  return week.weekdays.has(weekdayOf(day)) && !week.holidays.has(day);
}

/**
 * Moves a day by a number of working days, backwards when it is negative. Zero leaves the day where it is.
 * Undefined when the business has no working day within ten years of one step.
 */
export function plusWorkingDays(day: Day, count: number, week: WorkingDays): Day | undefined {
  const direction = count < 0 ? -1 : 1;
  let at = day;
  for (let left = Math.abs(count); left > 0; left--) {
    let searched = 0;
    do {
      at += direction;
      if (++searched > LIMIT) return undefined;
    } while (!isWorkingDay(at, week));
  }
  return at;
}

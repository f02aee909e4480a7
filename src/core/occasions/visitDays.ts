import type { Day } from '../dates/civil';
import type { RecordBook } from '../records/recordBook';
import { comesNear } from './comesNear';
import { CONFIRMED_AHEAD } from './rules/visitToConfirm';

/** The days whose visits are worth writing about today: those that are near, since when, and those still to be confirmed. */
export function visitDays(book: RecordBook): { near: { day: Day; since: Day }[]; toConfirm: Day[] } {
  const near: { day: Day; since: Day }[] = [];
  const toConfirm: Day[] = [];
  for (let day = book.today + 1; day <= book.today + CONFIRMED_AHEAD; day++) {
    const since = comesNear(book, day);
    if (since <= book.today) near.push({ day, since });
    else toConfirm.push(day);
  }
  return { near, toConfirm };
}

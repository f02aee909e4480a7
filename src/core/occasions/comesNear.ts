import type { Day } from '../dates/civil';
import { plusWorkingDays } from '../dates/workingDays';
import type { RecordBook } from '../records/recordBook';

/** From which day on a visit is near: the last working day before it. */
export function comesNear(book: RecordBook, visit: Day): Day {
  return plusWorkingDays(visit, -1, book.workingDays) ?? visit - 1;
}

import { wallClockOf } from '../dates/zone';
import { formatsOf } from '../fill/formats/formatsOf';
import type { RecordBook } from '../records/recordBook';

/** When something was, as lists say it: "today at 9:20 am", "14 November", with its year when that was long ago. */
export function dayLately(book: RecordBook): (moment: number) => string {
  const formats = formatsOf(book);
  return (moment) => {
    const { day } = wallClockOf(moment, book.zone);
    if (book.today - day < 2) return `${formats.fromNow(day, book.today)} at ${formats.time(moment)}`;
    return formats.dayNear(day, book.today);
  };
}

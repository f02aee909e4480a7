import { readDayAtStart } from '../dates/civil';
import { formatsOf } from '../fill/formats/formatsOf';
import type { RecordBook } from '../records/recordBook';

/** Whom a day is held for: "Held for Sven Lindgren until Monday 30 November". @param until ISO */
export function heldFor({ name, until }: { name: string; until: string }, book: RecordBook): string {
  const formats = formatsOf(book);
  const day = readDayAtStart(until)!;
  return `Held for ${name} until ${formats.dayInWeek(day, book.today)}`;
}

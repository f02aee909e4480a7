import { isoOf, readDayAtStart } from '../dates/civil';
import type { CopyDocument } from '../document/copyDocument';
import { languageOf } from '../fill/fillInto';
import { linesOf } from '../proof/reading/lines';
import { dayNamedAsUntil, promisedDays, type PromisedDay } from '../proof/reading/promisedDays';
import type { FilledLetter } from './writingDesk';

/** Days that a letter offers and that are kept free for its reader when it goes. */
export interface HeldDays {
  /** ISO, the soonest first */
  days: string[];
  /** the day that the letter names; absent: it names none, and no day is held */
  until?: string;
}

/** The days that a letter offers as it stands. */
export function promisedIn(
  document: CopyDocument,
  { notes, template, situation }: FilledLetter,
): PromisedDay[] {
  const language = languageOf(template, situation.book);
  const asksForDay = (blank: string) => template.blanks.get(blank)?.answer.kind === 'date';
  return promisedDays({ lines: linesOf(document), notes, language, asksForDay }, situation);
}

/** The days that are held when a letter goes, until a day that it names; undefined: it offers none. */
export function heldDays(document: CopyDocument, filled: FilledLetter): HeldDays | undefined {
  const days = promisedIn(document, filled)
    .map(({ day }) => day)
    .sort();
  const [first] = days;
  if (first === undefined) return undefined;
  const { template, situation } = filled;
  const { book } = situation;
  const until = dayNamedAsUntil(linesOf(document), languageOf(template, book), {
    today: book.today,
    before: readDayAtStart(first)!,
  });
  return { days, ...(until === undefined ? {} : { until: isoOf(until) }) };
}

'use client';

import { readDayAtStart } from '../../core/dates/civil';
import { formatsOf } from '../../core/fill/formats/formatsOf';
import type { RecordBook } from '../../core/records/recordBook';
import type { HeldDays } from '../../core/writing/heldDays';

interface Props {
  holds: HeldDays;
  /** its writer does not want them held */
  notHeld: boolean;
  book: RecordBook;
  onHold: (held: boolean) => void;
}

/** Says of the days that a letter offers whether they are held when it goes, and until when. */
export function HeldDaysLine({ holds, notHeld, book, onHold }: Props) {
  const { days, until } = daysInWords(holds, book);
  const are = holds.days.length === 1 ? 'is' : 'are';
  if (until === undefined)
    return (
      <p className="held-line">
        {days} {are} not held: the letter names no day until which you keep {are === 'is' ? 'it' : 'them'}.
      </p>
    );
  return (
    <p className="held-line">
      {notHeld
        ? `${days} ${are} not held, though the letter says until ${until}. `
        : `When it goes, ${days} ${are} held until ${until}, as the letter says. `}
      <button type="button" className="btn btn-link" onClick={() => onHold(notHeld)}>
        {notHeld ? 'Hold' : 'Do not hold'} {are === 'is' ? 'it' : 'them'}
      </button>
    </p>
  );
}

/** “7 December and 9 December are held until Monday 30 November.”; undefined: none is. */
export function heldInWords(holds: HeldDays, book: RecordBook): string | undefined {
  const { days, until } = daysInWords(holds, book);
  return until && `${days} ${holds.days.length === 1 ? 'is' : 'are'} held until ${until}.`;
}

/** “7 December and 9 December”, “Monday 30 November”. */
function daysInWords({ days, until }: HeldDays, book: RecordBook): { days: string; until?: string } {
  const formats = formatsOf(book);
  const named = days.map((iso) => formats.dayNear(readDayAtStart(iso)!, book.today));
  const last = readDayAtStart(until ?? '');
  return {
    days: formats.and(named),
    ...(last === undefined ? {} : { until: formats.dayInWeek(last, book.today) }),
  };
}

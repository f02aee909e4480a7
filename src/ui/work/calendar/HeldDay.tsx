import Link from 'next/link';
import type { CalendarHeld } from '../../../core/contract/calendar';
import { recordPath } from '../../records/recordPath';

/** For whom a day of the calendar is kept free; it opens what was asked. */
export function HeldDay({ held: { name, words, enquiry } }: { held: CalendarHeld }) {
  const shown = <>Held: {name}</>;
  if (enquiry === undefined)
    return (
      <span className="piece-held" title={words}>
        {shown}
      </span>
    );
  return (
    <Link
      href={recordPath({ kind: 'enquiry', key: enquiry })}
      prefetch={false}
      className="piece-held"
      title={words}
      aria-label={words}
    >
      {shown}
    </Link>
  );
}

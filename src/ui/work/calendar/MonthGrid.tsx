import Link from 'next/link';
import type { Calendar } from '../../../core/contract/calendar';
import type { BookingWords } from '../../../core/records/bookingWords';
import { recordPath } from '../../records/recordPath';
import { HeldDay } from './HeldDay';

/** So many stand in a day; the others are told by their number. */
const MOST = 3;

/** The weeks that a month touches, each day with what is booked. */
export function MonthGrid({
  calendar: { days, pieces, whole },
  words,
}: {
  calendar: Calendar;
  words: BookingWords;
}) {
  const all = [...whole, ...pieces];
  return (
    <ol className="month">
      {days.map(({ day, words: named, short, isToday, isOff, isOutside, held }, i) => {
        const own = all.filter((piece) => piece.day === i);
        const more = own.length - MOST;
        return (
          <li
            key={day}
            className={[isToday && 'is-today', isOff && 'is-off', isOutside && 'is-outside']
              .filter(Boolean)
              .join(' ')}
          >
            <h2>
              <Link href={`/work/bookings/calendar?view=day&day=${day}`} prefetch={false} aria-label={named}>
                {short}
              </Link>
            </h2>
            {held.map((one) => (
              <HeldDay key={one.letter} held={one} />
            ))}
            {own.slice(0, more > 1 ? MOST : MOST + 1).map(({ key, begins, client, status }) => (
              <Link
                key={key}
                href={recordPath({ kind: 'booking', key })}
                prefetch={false}
                className={`month-piece piece-${status}`}
              >
                {begins} {client}
              </Link>
            ))}
            {more > 1 && (
              <Link
                href={`/work/bookings/calendar?view=day&day=${day}`}
                prefetch={false}
                className="month-more"
              >
                {more} more {words.bookings}
              </Link>
            )}
          </li>
        );
      })}
    </ol>
  );
}

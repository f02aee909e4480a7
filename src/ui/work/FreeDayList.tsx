import type { DayAsked } from '../../core/contract/freeDays';

/** Days that somebody asks for, each with what is booked on it. */
export function FreeDayList({ days }: { days: readonly DayAsked[] }) {
  return (
    <ul className="free-days">
      {days.map(({ day, words, free, booked }) => (
        <li key={day}>
          <span className={free ? 'in-order' : 'needs-you'}>{words}</span>
          {booked.map((one) => (
            <span key={one} className="entry-note">
              {one}
            </span>
          ))}
        </li>
      ))}
    </ul>
  );
}

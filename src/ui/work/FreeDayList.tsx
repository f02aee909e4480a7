import type { ReactNode } from 'react';
import type { DayAsked } from '../../core/contract/freeDays';

interface Props {
  days: readonly DayAsked[];
  /** what can be done with a day that is free */
  act?: (day: DayAsked) => ReactNode;
}

/** Days that somebody asks for, each with what is booked on it. */
export function FreeDayList({ days, act }: Props) {
  return (
    <ul className="free-days">
      {days.map((one) => (
        <li key={one.day}>
          <span className={one.free ? 'in-order' : 'needs-you'}>{one.words}</span>
          {one.free && act?.(one)}
          {one.booked.map((words) => (
            <span key={words} className="entry-note">
              {words}
            </span>
          ))}
        </li>
      ))}
    </ul>
  );
}

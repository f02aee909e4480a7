'use client';

import { useState, type ReactNode } from 'react';
import type { DayAsked } from '../../core/contract/freeDays';
import type { Refusal } from '../../core/contract/refusal';
import { askServer } from '../writing/askServer';

interface Props {
  days: readonly DayAsked[];
  /** what can be done with a day that is free */
  act?: (day: DayAsked) => ReactNode;
}

/** Days that somebody asks for, each with what is booked on it and for whom it is held. */
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
          {one.held.map((held) => (
            <HeldFor key={held.letter} {...held} />
          ))}
        </li>
      ))}
    </ul>
  );
}

/** Whom a day is held for, with what lets the days of that letter go and holds them again. */
function HeldFor({ letter, words }: DayAsked['held'][number]) {
  const [isHeld, setHeld] = useState(true);
  const [trouble, setTrouble] = useState('');
  const hold = async (held: boolean) => {
    const answer = await askServer<Partial<Refusal>>(`/api/letters/${letter}/held-days`, { held }, 'PATCH');
    if ('offline' in answer) return setTrouble('There is no connection. Nothing has changed.');
    setTrouble(answer.body.error ?? '');
    if (!answer.body.error) setHeld(held);
  };
  return (
    <span className="entry-note">
      {isHeld ? words : 'Let go.'}{' '}
      <button
        type="button"
        className="btn btn-link"
        aria-label={isHeld ? `Let go: ${words}` : `Hold again: ${words}`}
        onClick={() => void hold(!isHeld)}
      >
        {isHeld ? 'Let it go' : 'Hold again'}
      </button>
      {trouble && (
        <span className="problem" role="alert">
          {trouble}
        </span>
      )}
    </span>
  );
}

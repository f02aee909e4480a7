'use client';

import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { ChangeBookingAnswer } from '../../core/contract/bookings';
import type { BookingData } from '../../core/records/recordsFile';
import { actWord, type Act } from '../../core/template/acts';
import { askServer } from '../writing/askServer';

interface Props {
  booking: string;
  version: number;
  status: BookingData['status'];
  /** whether its time is over */
  isPast: boolean;
  /** what the business calls one */
  word: string;
}

interface Press {
  to: string;
  words: string;
  act?: Act;
}

/** What one press does with a booking as it stands; its letter is offered next. */
export function BookingActs({ booking, version, status, isPast, word }: Props) {
  const router = useRouter();
  const [problem, setProblem] = useState<string>();
  const [refreshing, refresh] = useTransition();
  const [asking, setAsking] = useState(false);
  const cancel: Press = { to: 'cancelled', words: `Cancel the ${word}`, act: 'visit cancelled' };
  const confirm: Press = { to: 'confirmed', words: 'Confirm it', act: 'visit confirmed' };
  const done: Press = { to: 'done', words: 'It is done', act: 'visit done' };
  const presses: Press[] =
    status === 'tentative'
      ? [confirm, cancel]
      : status === 'confirmed'
        ? isPast
          ? [done, { to: 'missed', words: 'Nobody was there' }]
          : [cancel]
        : status === 'cancelled' || status === 'missed'
          ? [{ ...confirm, words: 'It takes place after all' }]
          : [];

  async function press({ to, act }: Press) {
    setAsking(true);
    setProblem(undefined);
    const path = `/api/bookings/${encodeURIComponent(booking)}`;
    const answer = await askServer<ChangeBookingAnswer>(path, { version, status: to }, 'PATCH');
    setAsking(false);
    if ('offline' in answer) return setProblem('There is no connection. Nothing has been changed.');
    if (answer.body.error !== undefined) return setProblem(answer.body.error);
    refresh(() => {
      router.replace(`?${act ? `did=${actWord(act)}` : ''}`);
      router.refresh();
    });
  }

  return (
    <div className="record-acts">
      {presses.map((one) => (
        <button
          key={one.to}
          type="button"
          className="btn btn-outline-primary"
          disabled={asking || refreshing}
          onClick={() => void press(one)}
        >
          {one.words}
        </button>
      ))}
      <p className="problem" role="alert">
        {problem}
      </p>
    </div>
  );
}

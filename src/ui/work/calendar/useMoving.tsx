'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState, type ReactNode } from 'react';
import type { ChangeBookingAnswer } from '../../../core/contract/bookings';
import type { Calendar, CalendarPiece } from '../../../core/contract/calendar';
import { clockMoment, shownMoment } from '../../../core/contract/records/parts';
import { readMoment } from '../../../core/dates/zone';
import { actWord } from '../../../core/template/acts';
import { plusMinutes } from '../../../core/work/wallClock';
import { recordPath } from '../../records/recordPath';
import { askServer } from '../../writing/askServer';

/** Where a booking is moved to: so many days and minutes of the clock on the wall. */
export interface Step {
  days: number;
  minutes: number;
}

interface Moved {
  /** as it was */
  piece: CalendarPiece;
  /** it has now */
  version: number;
  /** why it was not moved */
  problem?: string;
}

/** Bookings moved in the calendar: kept at once, undone by one press, the letter for it one press away. */
export function useMoving(calendar: Calendar): {
  shown: Calendar;
  note: ReactNode;
  move: (piece: CalendarPiece, by: Step) => void;
} {
  const { zone } = calendar;
  const router = useRouter();
  const [moved, setMoved] = useState<Moved>();
  /** shown where it was let go until the page has it */
  const [going, setGoing] = useState<{ key: string; by: Step }>();
  useEffect(() => setGoing(undefined), [calendar]);

  async function ask(piece: CalendarPiece, version: number, starts_at: string, ends_at: string) {
    const path = `/api/bookings/${encodeURIComponent(piece.key)}`;
    const answer = await askServer<ChangeBookingAnswer>(path, { version, starts_at, ends_at }, 'PATCH');
    const problem =
      'offline' in answer ? 'There is no connection. Nothing has been moved.' : answer.body.error;
    if (problem !== undefined) {
      setGoing(undefined);
      setMoved({ piece, version, problem });
    }
    router.refresh();
    return problem === undefined;
  }

  async function move(piece: CalendarPiece, by: Step) {
    setGoing({ key: piece.key, by });
    const starts = plusMinutes(shownMoment(piece.starts_at, zone), by.days * 1440 + by.minutes);
    const starts_at = clockMoment(zone).cast(starts)!;
    const length = readMoment(piece.ends_at)! - readMoment(piece.starts_at)!;
    const ends_at = new Date(readMoment(starts_at)! + length).toISOString();
    if (await ask(piece, piece.version, starts_at, ends_at)) setMoved({ piece, version: piece.version + 1 });
  }

  async function undo({ piece, version }: Moved) {
    if (await ask(piece, version, piece.starts_at, piece.ends_at)) setMoved(undefined);
  }

  const there = moved && calendar.pieces.find(({ key }) => key === moved.piece.key);
  const shown = going
    ? {
        ...calendar,
        pieces: calendar.pieces.map((piece) =>
          piece.key === going.key
            ? {
                ...piece,
                day: piece.day + going.by.days,
                from: piece.from + going.by.minutes,
                until: piece.until + going.by.minutes,
              }
            : piece,
        ),
      }
    : calendar;
  return {
    shown,
    move: (piece, by) => void move(piece, by),
    note: (
      <p role="status" className={`calendar-note ${moved?.problem ? 'problem' : ''}`}>
        {moved?.problem}
        {moved && !moved.problem && there && !going && (
          <>
            {there.client}, {there.service}: moved to {calendar.days[there.day]!.words}, {there.time}.{' '}
            <button type="button" className="btn btn-link" onClick={() => void undo(moved)}>
              Undo
            </button>{' '}
            <Link
              href={`${recordPath({ kind: 'booking', key: moved.piece.key })}?did=${actWord('visit moved')}`}
            >
              The letter for it
            </Link>
          </>
        )}
      </p>
    ),
  };
}

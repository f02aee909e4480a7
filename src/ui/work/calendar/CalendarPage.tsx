'use client';

import Link from 'next/link';
import { CALENDAR_VIEWS, type Calendar, type CalendarView } from '../../../core/contract/calendar';
import { capital } from '../../../core/describe/capital';
import type { BookingWords } from '../../../core/records/bookingWords';
import { DayColumns } from './DayColumns';
import { MonthGrid } from './MonthGrid';
import { useMoving } from './useMoving';

interface Props {
  calendar: Calendar;
  words: BookingWords;
}

/** A day, a week or a month of bookings. */
export function CalendarPage({ calendar, words }: Props) {
  const { view, title, day, before, after, today } = calendar;
  const at = (one: CalendarView, of: string) => `/work/bookings/calendar?view=${one}&day=${of}`;
  const { shown, note, move } = useMoving(calendar);
  return (
    <article className="calendar" aria-labelledby="calendar-title">
      <header className="calendar-head">
        <Link href="/work/bookings" className="back-to-list calendar-back">
          {capital(words.bookings)}
        </Link>
        <h1 id="calendar-title">{title}</h1>
        <nav aria-label="Days" className="calendar-steps">
          <Link href={at(view, before)} prefetch={false} aria-label={`The ${view} before`}>
            ‹
          </Link>
          <Link href={at(view, today)} prefetch={false}>
            Today
          </Link>
          <Link href={at(view, after)} prefetch={false} aria-label={`The ${view} after`}>
            ›
          </Link>
        </nav>
        <nav aria-label="How much is shown" className="kinds">
          {CALENDAR_VIEWS.map((one) => (
            <Link
              key={one}
              href={at(one, day)}
              prefetch={false}
              aria-current={one === view ? 'page' : undefined}
            >
              {one === 'day' ? 'Day' : one === 'week' ? 'Week' : 'Month'}
            </Link>
          ))}
        </nav>
        <Link href="/work/bookings/new" prefetch={false} className="btn btn-outline-primary">
          New {words.booking}
        </Link>
      </header>
      {note}
      {view === 'month' ? (
        <MonthGrid calendar={shown} words={words} />
      ) : (
        <DayColumns calendar={shown} words={words} onMove={move} />
      )}
    </article>
  );
}

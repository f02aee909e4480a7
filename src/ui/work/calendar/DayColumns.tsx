'use client';

import Link from 'next/link';
import { useRef, useState, type PointerEvent } from 'react';
import type { Calendar, CalendarPiece } from '../../../core/contract/calendar';
import type { BookingWords } from '../../../core/records/bookingWords';
import { recordPath } from '../../records/recordPath';
import { HeldDay } from './HeldDay';
import type { Step } from './useMoving';

interface Props {
  calendar: Calendar;
  words: BookingWords;
  onMove: (piece: CalendarPiece, by: Step) => void;
}

/** The height of an hour, in pixels. */
const HOUR = 48;
/** A booking that is dragged goes by so many minutes. */
const STEP = 15;
/** It is dragged after so many pixels; before, it is a press. */
const SLACK = 5;

/** The hours of a day or a week, side by side. At the desk a booking is dragged; it opens by a press, everywhere. */
export function DayColumns({ calendar, words, onMove }: Props) {
  const { days, pieces, whole, hours, now } = calendar;
  const columns = useRef<HTMLDivElement>(null);
  const [dragged, setDragged] = useState<{ key: string; x: number; y: number; by: Step }>();
  const rows = Array.from({ length: hours.until - hours.from }, (_, i) => hours.from + i);
  const top = (minutes: number) => ((minutes - hours.from * 60) / 60) * HOUR;

  function begin(event: PointerEvent, { key }: CalendarPiece) {
    // A finger scrolls; on the phone a booking is moved by its form.
    if (event.pointerType !== 'mouse' || event.button !== 0) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    setDragged({ key, x: event.clientX, y: event.clientY, by: { days: 0, minutes: 0 } });
  }

  function drag(event: PointerEvent, piece: CalendarPiece) {
    if (dragged?.key !== piece.key) return;
    const [dx, dy] = [event.clientX - dragged.x, event.clientY - dragged.y];
    const width = columns.current!.getBoundingClientRect().width / days.length;
    const far = Math.abs(dx) > SLACK || Math.abs(dy) > SLACK;
    const day = Math.max(0, Math.min(days.length - 1, piece.day + Math.round(dx / width)));
    const minutes = Math.round(((dy / HOUR) * 60) / STEP) * STEP;
    const kept = Math.max(-piece.from, Math.min(1440 - piece.until, minutes));
    setDragged({ ...dragged, by: far ? { days: day - piece.day, minutes: kept } : { days: 0, minutes: 0 } });
  }

  function drop(piece: CalendarPiece) {
    if (dragged?.key !== piece.key) return;
    const { by } = dragged;
    if (by.days !== 0 || by.minutes !== 0) onMove(piece, by);
    // The click that follows still finds what was dragged.
    setTimeout(() => setDragged(undefined));
  }

  const isMoved = (key: string) =>
    dragged?.key === key && (dragged.by.days !== 0 || dragged.by.minutes !== 0);
  return (
    <div className={`hours hours-${days.length}`}>
      <div className="hours-days">
        {days.map(({ day, words: named, short, isToday, isOff, held }, i) => (
          <div key={day} className={`${isToday ? 'is-today' : ''} ${isOff ? 'is-off' : ''}`}>
            <h2>
              <Link href={`/work/bookings/calendar?view=day&day=${day}`} prefetch={false} aria-label={named}>
                {days.length === 1 ? named : short}
              </Link>
            </h2>
            {held.map((one) => (
              <HeldDay key={one.letter} held={one} />
            ))}
            {whole
              .filter((piece) => piece.day === i)
              .map((piece) => (
                <Link
                  key={piece.key}
                  href={recordPath({ kind: 'booking', key: piece.key })}
                  prefetch={false}
                  className={`piece piece-whole piece-${piece.status}`}
                >
                  {piece.client}, {piece.service}
                </Link>
              ))}
          </div>
        ))}
      </div>
      <div className="hours-scroll" tabIndex={0} role="region" aria-label="The hours">
        <div className="hours-clock" aria-hidden="true">
          {hours.words.map((hour) => (
            <span key={hour} style={{ height: HOUR }}>
              {hour}
            </span>
          ))}
        </div>
        <div ref={columns} className="hours-columns">
          {days.map(({ day, words: named, isOff, isToday }, i) => (
            <div
              key={day}
              className={`hours-column ${isOff ? 'is-off' : ''}`}
              style={{ height: rows.length * HOUR }}
            >
              {rows.map((hour, row) => (
                <Link
                  key={hour}
                  href={`/work/bookings/new?at=${day}T${String(hour).padStart(2, '0')}:00`}
                  prefetch={false}
                  className="hour-free"
                  style={{ top: top(hour * 60), height: HOUR }}
                  tabIndex={-1}
                  aria-label={`New ${words.booking} on ${named} at ${hours.words[row]}`}
                />
              ))}
              {isToday && now !== undefined && now >= hours.from * 60 && now < hours.until * 60 && (
                <span className="hours-now" style={{ top: top(now) }} />
              )}
              {pieces
                .filter((piece) => (isMoved(piece.key) ? piece.day + dragged!.by.days : piece.day) === i)
                .map((piece) => {
                  const by = isMoved(piece.key) ? dragged!.by.minutes : 0;
                  return (
                    <Link
                      key={piece.key}
                      href={recordPath({ kind: 'booking', key: piece.key })}
                      prefetch={false}
                      draggable={false}
                      className={`piece piece-${piece.status} ${isMoved(piece.key) ? 'is-dragged' : ''}`}
                      style={{
                        top: top(piece.from + by),
                        height: Math.max(20, top(piece.until) - top(piece.from)),
                        left: `${(piece.lane / piece.lanes) * 100}%`,
                        width: `${100 / piece.lanes}%`,
                      }}
                      onPointerDown={(event) => begin(event, piece)}
                      onPointerMove={(event) => drag(event, piece)}
                      onPointerUp={() => drop(piece)}
                      onPointerCancel={() => setDragged(undefined)}
                      onClick={(event) => isMoved(piece.key) && event.preventDefault()}
                    >
                      <span className="piece-time">{piece.time}</span>
                      <span className="piece-who">{piece.client}</span>
                      <span>
                        {piece.service}
                        {piece.member ? `, ${piece.member}` : ''}
                      </span>
                    </Link>
                  );
                })}
            </div>
          ))}
        </div>
      </div>
    </div>
  );
}

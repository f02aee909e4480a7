'use client';

import { useId, useState, type FormEvent } from 'react';
import Button from 'react-bootstrap/Button';
import { isoOf } from '../../core/dates/civil';
import { readTypedDay } from '../../core/dates/readTypedDay';
import { isoMoment, momentOf, wallClockOf } from '../../core/dates/zone';
import { SCHEMA_DEFAULTS } from '../../core/records/defaults';
import { laterMoments, whyNotLater } from '../../core/writing/laterMoments';
import { typedDay } from '../../core/writing/readTypedAnswer';
import { DayField } from '../forms/DayField';
import type { LetterStore } from '../writing/letterStore';

/** The moments that are likely, and one's own, by the business's clock. @param onChoose hears of the one, ISO */
export default function Moments({ store, onChoose }: { store: LetterStore; onChoose: (at: string) => void }) {
  const id = useId();
  const { book } = store.desk;
  const [trouble, setTrouble] = useState('');
  const { project, booking, invoice } = store.snapshot()?.choices ?? {};
  const situation = store.desk.situation(store.start, {
    ...(project === undefined ? {} : { project }),
    ...(booking === undefined ? {} : { booking }),
    ...(invoice === undefined ? {} : { invoice }),
  });

  const chooseOwn = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    event.stopPropagation();
    const typed = new FormData(event.currentTarget);
    const { locale = SCHEMA_DEFAULTS.locale } = book.business;
    const day = readTypedDay(String(typed.get('day')), { locale, today: book.today });
    const time = /^(\d\d):(\d\d)/.exec(String(typed.get('time')));
    const moment =
      day === undefined || !time
        ? undefined
        : momentOf({ day, time: (Number(time[1]) * 60 + Number(time[2])) * 60_000 }, book.zone);
    const why = whyNotLater(moment, book);
    setTrouble(why ?? '');
    if (moment !== undefined && !why) onChoose(isoMoment(moment, book.zone));
  };

  return (
    <>
      <p className="ways">
        {situation &&
          laterMoments(situation).map(({ words, at }) => (
            <button key={at} type="button" className="btn btn-link" onClick={() => onChoose(at)}>
              {words}
            </button>
          ))}
      </p>
      <form className="own-time" onSubmit={chooseOwn} noValidate>
        <label htmlFor={`${id}-day`}>On</label>
        <DayField
          id={`${id}-day`}
          name="day"
          pickLabel="Pick the day"
          typed={(day) => typedDay(day, book)}
          defaultValue={typedDay(isoOf(book.today + 1), book)}
          aria-describedby={trouble ? `${id}-trouble` : undefined}
        />
        <label htmlFor={`${id}-time`}>at</label>
        <input
          id={`${id}-time`}
          type="time"
          name="time"
          className="form-control"
          defaultValue={clockNow(book)}
        />
        <Button type="submit" variant="outline-primary">
          Choose
        </Button>
        {trouble && (
          <p id={`${id}-trouble`} className="problem" role="alert">
            {trouble}
          </p>
        )}
      </form>
    </>
  );
}

/** The time of day by the business's clock, to the hour. */
function clockNow({ now, zone }: { now: number; zone: string }): string {
  return `${String(Math.floor(wallClockOf(now, zone).time / 3_600_000)).padStart(2, '0')}:00`;
}

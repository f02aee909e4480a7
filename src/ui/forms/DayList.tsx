'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { useController } from 'react-hook-form';
import { LabelledGroup } from './Labelled';

interface Props {
  name: string;
  label: string;
  /** how days are written */
  locale: string;
  /** days that are likely, with what they are called */
  likely?: readonly { date: string; name: string }[];
}

/** Days of the calendar in their order; the likely ones come by one press. */
export function DayList({ name, label, locale, likely = [] }: Props) {
  const { field } = useController({ name });
  const [day, setDay] = useState('');
  const days = field.value as string[];
  const add = (more: readonly string[]) => field.onChange([...new Set([...days, ...more])].sort());
  const written = new Intl.DateTimeFormat(locale, { dateStyle: 'full', timeZone: 'UTC' });
  const missing = likely.filter(({ date }) => !days.includes(date));
  return (
    <LabelledGroup name={name} label={label}>
      <ul className="day-list">
        {days.map((one) => (
          <li key={one}>
            {written.format(new Date(`${one}T00:00:00Z`))}
            {likely.find(({ date }) => date === one)?.name &&
              `, ${likely.find(({ date }) => date === one)!.name}`}{' '}
            <button
              type="button"
              className="btn btn-link"
              aria-label={`Leave out ${written.format(new Date(`${one}T00:00:00Z`))}`}
              onClick={() => field.onChange(days.filter((other) => other !== one))}
            >
              leave out
            </button>
          </li>
        ))}
      </ul>
      <div className="foot-line">
        <Form.Control
          type="date"
          aria-label="Another day"
          value={day}
          onChange={({ target }) => setDay(target.value)}
        />
        <button
          type="button"
          className="btn btn-outline-primary"
          disabled={!day}
          onClick={() => {
            add([day]);
            setDay('');
          }}
        >
          Add it
        </button>
      </div>
      {missing.length > 0 && (
        <button type="button" className="btn btn-link" onClick={() => add(missing.map(({ date }) => date))}>
          Add the {missing.length} public holidays that are not there
        </button>
      )}
    </LabelledGroup>
  );
}

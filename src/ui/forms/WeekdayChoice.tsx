'use client';

import { useController } from 'react-hook-form';
import { LabelledGroup } from './Labelled';

interface Props {
  name: string;
  label: string;
  /** what the days are called, Monday first */
  days: readonly string[];
}

/** Days of the week, 1 Monday to 7 Sunday. */
export function WeekdayChoice({ name, label, days }: Props) {
  const { field } = useController({ name });
  const chosen = field.value as number[];
  return (
    <LabelledGroup name={name} label={label}>
      <div className="check-line">
        {days.map((words, i) => (
          <label key={words} className="check">
            <input
              type="checkbox"
              checked={chosen.includes(i + 1)}
              onChange={({ target }) =>
                field.onChange(
                  target.checked
                    ? [...chosen, i + 1].sort((a, b) => a - b)
                    : chosen.filter((day) => day !== i + 1),
                )
              }
            />
            {words}
          </label>
        ))}
      </div>
    </LabelledGroup>
  );
}

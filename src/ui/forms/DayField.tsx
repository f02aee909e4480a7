'use client';

import { useCallback, useRef, type ComponentProps } from 'react';
import Form from 'react-bootstrap/Form';
import { dayPicker } from './dayPicker';

interface Props extends Omit<ComponentProps<typeof Form.Control>, 'type' | 'size' | 'onSelect'> {
  /** what a press on its calendar does */
  pickLabel: string;
  /** a day as it is typed. @param iso ISO 8601 */
  typed: (iso: string) => string;
}

/** A field for a day, typed as people of the business write it, or picked from the device's own calendar. */
export function DayField({ pickLabel, typed, ...field }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const asTyped = useRef(typed);
  const mount = useCallback(
    (holder: HTMLSpanElement | null) =>
      holder?.replaceChildren(
        dayPicker(pickLabel, (day) => {
          input.current!.value = asTyped.current(day);
          input.current!.focus();
        }),
      ),
    [pickLabel],
  );
  return (
    <span className="day-field">
      <Form.Control type="text" autoComplete="off" ref={input} {...field} />
      <span ref={mount} />
    </span>
  );
}

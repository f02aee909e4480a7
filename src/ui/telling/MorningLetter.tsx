'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { Done } from '../../core/contract/refusal';
import { askServer } from '../writing/askServer';

interface Props {
  /** undefined: none comes */
  hour?: number | undefined;
  choices: readonly [hour: number, words: string][];
  /** where it goes to */
  address: string;
}

/** Settles whether, and when, a letter comes each morning with what waits. */
export function MorningLetter({ hour, choices, address }: Props) {
  const [now, setNow] = useState(hour ?? null);
  const [said, setSaid] = useState('');

  async function settle(next: number | null) {
    const answer = await askServer<Done>('/api/morning-letter', { hour: next }, 'PUT');
    if ('offline' in answer) return setSaid('There is no connection. Nothing has changed.');
    if (answer.body.error) return setSaid(answer.body.error);
    setNow(next);
    return setSaid(
      next === null ? 'None comes any more.' : 'It comes from the next morning on which something waits.',
    );
  }

  return (
    <section className="form-part" aria-labelledby="morning">
      <h2 id="morning">Each morning</h2>
      <Form.Group className="number-setting" controlId="morning-hour">
        <Form.Label>A letter to yourself with what waits</Form.Label>
        <Form.Select
          aria-describedby="morning-help"
          value={now ?? ''}
          onChange={(event) => void settle(event.target.value === '' ? null : Number(event.target.value))}
        >
          <option value="">none</option>
          {choices.map(([one, words]) => (
            <option key={one} value={one}>
              at {words}
            </option>
          ))}
        </Form.Select>
        <p id="morning-help" className="field-help">
          Answers that wait, what did not go, what is worth writing, and the day’s visits, to {address}. On a
          day on which nothing waits there is none.
        </p>
        <p role="status" className="entry-note">
          {said}
        </p>
      </Form.Group>
    </section>
  );
}

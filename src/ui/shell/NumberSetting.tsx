'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { Done } from '../../core/contract/refusal';
import type { NumberSettings } from '../../core/contract/settings';
import { askServer } from '../writing/askServer';

interface Props {
  label: string;
  value: number;
  choices: readonly number[];
  /** what it is called where it is kept */
  name: NumberSettings;
}

/** A number that holds for the business, chosen from the likely ones and kept at once. */
export function NumberSetting({ label, value, choices, name }: Props) {
  const [now, setNow] = useState(value);
  const [said, setSaid] = useState('');

  async function settle(next: number) {
    const answer = await askServer<Done>('/api/settings', { [name]: next }, 'PUT');
    if ('offline' in answer) return setSaid('There is no connection. Nothing has changed.');
    if (answer.body.error) return setSaid(answer.body.error);
    setNow(next);
    setSaid('Settled for the business.');
  }

  return (
    <Form.Group className="number-setting" controlId={name}>
      <Form.Label>{label}</Form.Label>
      <Form.Select value={now} onChange={(event) => void settle(Number(event.target.value))}>
        {[...new Set([...choices, now])]
          .sort((a, b) => a - b)
          .map((one) => (
            <option key={one}>{one}</option>
          ))}
      </Form.Select>
      <p role="status" className="entry-note">
        {said}
      </p>
    </Form.Group>
  );
}

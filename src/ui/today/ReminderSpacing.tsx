'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { askServer } from '../writing/askServer';

const CHOICES = [3, 5, 7, 10, 14, 21, 30];

/** How many days lie between one reminder of an invoice and the next letter about it. */
export function ReminderSpacing({ days }: { days: number }) {
  const [now, setNow] = useState(days);
  const [said, setSaid] = useState('');

  async function settle(next: number) {
    const answer = await askServer<{ error?: string }>('/api/occasions', { reminderSpacing: next }, 'PUT');
    if ('offline' in answer) return setSaid('There is no connection. Nothing has changed.');
    if (answer.body.error) return setSaid(answer.body.error);
    setNow(next);
    setSaid('Settled for the business.');
  }

  return (
    <Form.Group className="reminder-spacing" controlId="reminder-spacing">
      <Form.Label>Days between reminders</Form.Label>
      <Form.Select value={now} onChange={(event) => void settle(Number(event.target.value))}>
        {[...new Set([...CHOICES, now])]
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

'use client';

import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { Done } from '../../core/contract/refusal';
import type { NumberSettings, Settings } from '../../core/contract/settings';
import { askServer } from '../writing/askServer';

interface Props {
  label: string;
  /** what it does, and when it is wanted */
  help: string;
  value: boolean;
  /** what it is called where it is kept */
  name: Exclude<keyof Settings, NumberSettings>;
}

/** Something that holds for the business or does not, kept at once. */
export function YesNoSetting({ label, help, value, name }: Props) {
  const [now, setNow] = useState(value);
  const [said, setSaid] = useState('');

  async function settle(next: boolean) {
    const answer = await askServer<Done>('/api/settings', { [name]: next }, 'PUT');
    if ('offline' in answer) return setSaid('There is no connection. Nothing has changed.');
    if (answer.body.error) return setSaid(answer.body.error);
    setNow(next);
    setSaid('Settled for the business.');
  }

  return (
    <Form.Group className="yes-no-setting" controlId={name}>
      <Form.Check
        label={label}
        checked={now}
        aria-describedby={`${name}-help`}
        onChange={(event) => void settle(event.target.checked)}
      />
      <p id={`${name}-help`} className="field-help">
        {help}
      </p>
      <p role="status" className="entry-note">
        {said}
      </p>
    </Form.Group>
  );
}

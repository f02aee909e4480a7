'use client';

import Form from 'react-bootstrap/Form';
import type { NumberSettings } from '../../core/contract/settings';
import { useSetting } from './useSetting';

interface Props {
  label: string;
  value: number;
  choices: readonly number[];
  /** what it is called where it is kept */
  name: NumberSettings;
}

/** A number that holds for the business, chosen from the likely ones and kept at once. */
export function NumberSetting({ label, value, choices, name }: Props) {
  const [now, said, settle] = useSetting(name, value);
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

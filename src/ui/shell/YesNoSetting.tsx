'use client';

import Form from 'react-bootstrap/Form';
import type { NumberSettings, Settings } from '../../core/contract/settings';
import { useSetting } from './useSetting';

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
  const [now, said, settle] = useSetting(name, value);
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

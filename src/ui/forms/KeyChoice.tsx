'use client';

import { useController } from 'react-hook-form';
import type { Choosable } from '../../core/contract/records/formChoices';
import { LabelledGroup } from './Labelled';

interface Props {
  name: string;
  label: string;
  help?: string;
  options: readonly Choosable[];
}

/** Several of some records, in the order in which they are chosen. */
export function KeyChoice({ name, label, help, options }: Props) {
  const { field } = useController({ name });
  const chosen = field.value as string[];
  if (options.length === 0) return null;
  return (
    <LabelledGroup name={name} label={label} help={help}>
      <div className="check-line">
        {options.map(([key, words]) => (
          <label key={key} className="check">
            <input
              type="checkbox"
              checked={chosen.includes(key)}
              onChange={({ target }) =>
                field.onChange(target.checked ? [...chosen, key] : chosen.filter((one) => one !== key))
              }
            />
            {words}
          </label>
        ))}
      </div>
    </LabelledGroup>
  );
}

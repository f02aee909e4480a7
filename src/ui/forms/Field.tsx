'use client';

import type { ComponentProps, ReactNode } from 'react';
import Form from 'react-bootstrap/Form';
import { useFormContext } from 'react-hook-form';
import { Labelled } from './Labelled';

interface Said {
  /** the path of its value in the form */
  name: string;
  label: ReactNode;
  help?: ReactNode;
}

type FieldProps = Said & Omit<ComponentProps<typeof Form.Control>, 'name' | 'id'> & { rows?: number };

/** A fact that is typed. */
export function Field({ name, label, help, ...control }: FieldProps) {
  const { register } = useFormContext();
  return (
    <Labelled name={name} label={label} help={help}>
      {(described) => <Form.Control {...control} {...register(name)} {...described} />}
    </Labelled>
  );
}

type ChoiceProps = Said &
  Omit<ComponentProps<typeof Form.Select>, 'name' | 'id'> & {
    /** each value with what it is called */
    options: readonly (readonly [value: string, words: string])[];
  };

/** A fact that is one of some. */
export function Choice({ name, label, help, options, ...control }: ChoiceProps) {
  const { register } = useFormContext();
  return (
    <Labelled name={name} label={label} help={help}>
      {(described) => (
        <Form.Select {...control} {...register(name)} {...described}>
          {options.map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </Form.Select>
      )}
    </Labelled>
  );
}

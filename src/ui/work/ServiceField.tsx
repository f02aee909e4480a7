'use client';

import { useId } from 'react';
import type { ServiceFacts } from '../../core/contract/records/workWays';
import { Field } from '../forms/Field';

interface Props {
  services: readonly ServiceFacts[];
  label?: string;
}

/** What is done: one of the usual services, or whatever is written. */
export function ServiceField({ services, label = 'What is done' }: Props) {
  const list = useId();
  return (
    <>
      <Field name="service" label={label} list={list} autoComplete="off" />
      <datalist id={list}>
        {services.map(({ id, name }) => (
          <option key={id} value={name} />
        ))}
      </datalist>
    </>
  );
}

'use client';

import type { ReactNode } from 'react';
import { useFieldArray, useFormContext } from 'react-hook-form';
import { capital } from '../../core/describe/capital';
import { LabelledGroup } from './Labelled';
import { useRemoving } from './useRemoving';

interface Props {
  /** the list's place in the form */
  name: string;
  /** what one is called: "person" */
  one: string;
  /** what adds one: "Add a person" */
  add: string;
  /** what a new one begins with */
  empty: () => object;
  /** the fields of one. @param at its place in the form: `contacts.0` */
  children: (at: string) => ReactNode;
}

/** A list of pieces in a form: each can be taken out, and put back for ten seconds; others are added below. */
export function PieceList({ name, one, add, empty, children }: Props) {
  const { control } = useFormContext();
  const { fields, append, remove, insert } = useFieldArray({ control, name });
  const { note, removing } = useRemoving(name, remove, insert);
  return (
    <>
      <LabelledGroup name={name} label="">
        {fields.map(({ id }, i) => (
          <fieldset key={id} className="form-piece">
            <legend className="visually-hidden">
              {capital(one)} {i + 1}
            </legend>
            {children(`${name}.${i}`)}
            <button type="button" className="btn btn-link" onClick={() => removing(i, `The ${one}`)}>
              Take this {one} out
            </button>
          </fieldset>
        ))}
      </LabelledGroup>
      {note}
      <button type="button" className="btn btn-outline-primary" onClick={() => append(empty())}>
        {add}
      </button>
    </>
  );
}

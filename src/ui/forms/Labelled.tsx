'use client';

import { use, useId, type ReactNode } from 'react';
import { get, useFormContext } from 'react-hook-form';
import { Disputed } from './disputed';
import { Said, saidInWords } from './said';

/** What a control is tied to its label and its words with. */
interface Described {
  id: string;
  isInvalid: boolean;
  'aria-describedby'?: string;
}

interface Props {
  /** the path of its value in the form */
  name: string;
  label: ReactNode;
  help?: ReactNode;
  children: (described: Described) => ReactNode;
}

/** A control with what it is called, what helps to write it, what is wrong with it, and what somebody else wrote there. */
export function Labelled({ name, label, help, children }: Props) {
  const { formState } = useFormContext();
  const id = useId();
  const problem = messageOf(get(formState.errors, name));
  const described = problem ? `${id}-problem` : help ? `${id}-help` : undefined;
  return (
    <div className="form-field">
      <label htmlFor={id} className="form-label">
        {label}
      </label>
      {children({
        id,
        isInvalid: problem !== undefined,
        ...(described === undefined ? {} : { 'aria-describedby': described }),
      })}
      <Beneath id={id} name={name} help={help} problem={problem} />
    </div>
  );
}

/** Several controls of one fact. */
export function LabelledGroup({
  name,
  label,
  help,
  children,
}: Omit<Props, 'children'> & { children: ReactNode }) {
  const { formState } = useFormContext();
  const id = useId();
  return (
    <fieldset className="form-field" aria-describedby={`${id}-problem`}>
      {label && <legend className="form-label">{label}</legend>}
      {children}
      <Beneath id={id} name={name} help={help} problem={messageOf(get(formState.errors, name))} />
    </fieldset>
  );
}

interface Wrong {
  message?: string;
  root?: { message?: string };
}

/** What is wrong with a value: with it whole, or with the first of several that is wrong by itself. */
function messageOf(error: unknown): string | undefined {
  const { message, root } = (error ?? {}) as Wrong;
  const first = Array.isArray(error)
    ? (error as (Wrong | undefined)[]).find((one) => one?.message)
    : undefined;
  return message ?? root?.message ?? first?.message;
}

interface BeneathProps {
  id: string;
  name: string;
  help: ReactNode;
  problem: string | undefined;
}

function Beneath({ id, name, help, problem }: BeneathProps) {
  const { disputed, takeTheirs } = use(Disputed);
  const said = use(Said)[name];
  return (
    <>
      {help && !problem && (
        <p id={`${id}-help`} className="field-help">
          {help}
        </p>
      )}
      {said !== undefined && <p className="field-help">{saidInWords(said)}</p>}
      {name in disputed && (
        <p className="needs-you">
          Somebody else wrote: {saidOf(disputed[name]) || 'nothing'}.{' '}
          <button type="button" className="btn btn-link" onClick={() => takeTheirs(name)}>
            Take that
          </button>
        </p>
      )}
      <p id={`${id}-problem`} className="problem" role="alert">
        {problem}
      </p>
    </>
  );
}

/** A fact as a person reads it on one line. */
function saidOf(fact: unknown): string {
  if (Array.isArray(fact)) return fact.map(saidOf).join(', ');
  if (typeof fact === 'object' && fact !== null)
    return Object.values(fact).map(saidOf).filter(Boolean).join(', ');
  return fact === undefined || fact === null ? '' : String(fact as string | number | boolean);
}

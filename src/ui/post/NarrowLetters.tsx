'use client';

import { useEffect, useState } from 'react';
import Form from 'react-bootstrap/Form';
import {
  LETTER_STATES,
  type LetterNarrowing,
  type NarrowingChoices,
} from '../../core/contract/letterNarrowing';
import { capital } from '../../core/describe/capital';
import { askServer } from '../writing/askServer';

interface Props {
  narrowing: LetterNarrowing;
  onChange: (narrowing: LetterNarrowing) => void;
}

const STATES = LETTER_STATES.map((state) => [state, capital(state)] as const);
const TIMES = [
  ['7', 'In the last week'],
  ['30', 'In the last month'],
  ['90', 'In the last three months'],
  ['365', 'In the last year'],
  ['before', 'Before that'],
] as const;

/** By what the list of letters is narrowed beside words: opened where it is wanted. */
export function NarrowLetters({ narrowing, onChange }: Props) {
  const [open, setOpen] = useState(false);
  const [choices, setChoices] = useState<NarrowingChoices>();
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    if (!open || choices) return;
    void askServer<NarrowingChoices>('/api/letters/narrowing').then((answer) => {
      const came = !('offline' in answer) && answer.status === 200;
      setFailed(!came);
      if (came) setChoices(answer.body);
    });
  }, [open, choices]);
  const given = Object.values(narrowing).filter(Boolean).length;

  const choice = (
    name: keyof LetterNarrowing,
    label: string,
    all: string,
    of: readonly (readonly [string, string])[],
  ) => (
    <Form.Group controlId={`narrow-${name}`}>
      <Form.Label>{label}</Form.Label>
      <Form.Select
        size="sm"
        value={narrowing[name] ?? ''}
        onChange={({ target }) => {
          const { [name]: _, ...others } = narrowing;
          onChange(target.value ? ({ ...others, [name]: target.value } as LetterNarrowing) : others);
        }}
      >
        <option value="">{all}</option>
        {of.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
  return (
    <details className="narrow-letters" onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary>
        {given === 0 ? 'Narrow the list' : `Narrowed by ${given === 1 ? 'one thing' : `${given} things`}`}
      </summary>
      {choice('state', 'State', 'Any', STATES)}
      {choice('time', 'Written', 'At any time', TIMES)}
      {choice('member', 'Whose', 'Everybody’s', choices?.members ?? [])}
      {choice('template', 'From the template', 'Any, or none', choices?.templates ?? [])}
      {failed && <p className="hint">Members and templates could not be fetched.</p>}
      {given > 0 && (
        <button type="button" className="btn btn-link" onClick={() => onChange({})}>
          Show all again
        </button>
      )}
    </details>
  );
}

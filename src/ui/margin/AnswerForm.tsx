'use client';

import { useId, useState, type FormEvent } from 'react';
import Form from 'react-bootstrap/Form';
import type { BlankType } from '../../core/document/templateDocument';
import type { RecordBook } from '../../core/records/recordBook';
import { typedDay } from '../../core/writing/readTypedAnswer';
import { DayField } from '../forms/DayField';

interface Props {
  label: string;
  type: BlankType;
  /** what stands there now */
  typed?: string;
  /** whose form days have */
  book: RecordBook;
  action: string;
  /** what to say when nothing was written */
  empty: string;
  /** takes what was written; gives what was expected when it does not fit */
  onAnswer: (typed: string) => string | undefined;
  onDone: () => void;
}

/** A question of a letter with a field for its answer, of the kind that it wants. */
export function AnswerForm({ label, type, typed, book, action, empty, onAnswer, onDone }: Props) {
  const [wrong, setWrong] = useState<string>();
  const field = useId();
  const shared = { id: field, name: 'words', defaultValue: typed, isInvalid: wrong !== undefined };

  function answer(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const written = String(new FormData(event.currentTarget).get('words') ?? '');
    if (!written.trim()) return setWrong(empty);
    const expected = onAnswer(written);
    if (expected === undefined) onDone();
    else setWrong(`Write ${expected}.`);
  }

  return (
    <>
      <Form className="cure" onSubmit={answer} noValidate>
        <Form.Label htmlFor={field} visuallyHidden>
          {label}
        </Form.Label>
        {type.kind === 'long text' ? (
          <Form.Control as="textarea" rows={4} autoFocus {...shared} />
        ) : type.kind === 'choice' || type.kind === 'yes/no' ? (
          <Form.Select {...shared}>
            {(type.kind === 'choice' ? type.of : ['yes', 'no']).map((one) => (
              <option key={one}>{one}</option>
            ))}
          </Form.Select>
        ) : type.kind === 'date' ? (
          <DayField
            {...shared}
            pickLabel={`Pick: ${label}`}
            typed={(day) => typedDay(day, book)}
            defaultValue={typed && typedDay(typed, book)}
            autoFocus
          />
        ) : (
          <Form.Control
            type="text"
            inputMode={type.kind === 'money' || type.kind === 'number' ? 'decimal' : undefined}
            autoComplete="off"
            autoFocus
            {...shared}
          />
        )}
        <button type="submit" className="btn btn-link">
          {action}
        </button>
      </Form>
      <p className="problem" role="alert">
        {wrong}
      </p>
    </>
  );
}

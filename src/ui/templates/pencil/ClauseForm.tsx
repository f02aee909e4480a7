'use client';

import { useId, useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { Clause, Operand, Operator } from '../../../core/document/step';
import type { FieldDesk } from '../../../core/fields/fieldDesk';
import type { Around } from '../../../core/fields/sayField';
import { operatorsOf } from '../../../core/fill/compile/condition';
import type { FieldType } from '../../../core/records/fieldType';
import { printSteps } from '../../../core/template/tags/printTag';
import type { PlaceInWindow } from './pencilTools';

interface Props {
  clause: Clause;
  around: readonly Around[];
  fields: FieldDesk;
  onChange: (clause: Clause) => void;
  /** another fact is wanted */
  onPick: (at: PlaceInWindow) => void;
  onRemove?: () => void;
}

/** One comparison: a fact, how it is compared, and with what. */
export function ClauseForm({ clause, around, fields, onChange, onPick, onRemove }: Props) {
  const type = fields.typeOf(clause, around) ?? { kind: 'text' as const };
  const { operator, right } = clause;
  const choices = fields.choicesOf(clause.path, around);
  const options = optionsFor(type, choices);
  const now = options.find((one) => one.is(clause))?.words ?? operator ?? '';
  return (
    <div className="clause">
      <button
        type="button"
        className="btn btn-link clause-field"
        onClick={(event) => onPick(event.currentTarget.getBoundingClientRect())}
      >
        {fields.nameOf(clause.path, around)}
        {printSteps(clause.steps).replaceAll(' | ', ', ')}
      </button>
      <Form.Select
        size="sm"
        aria-label="How it is compared"
        value={now}
        onChange={(event) => {
          const option = options.find(({ words }) => words === event.target.value);
          if (option) onChange(option.make(clause));
        }}
      >
        {!options.some(({ words }) => words === now) && <option>{now}</option>}
        {options.map(({ words }) => (
          <option key={words}>{words}</option>
        ))}
      </Form.Select>
      {right && right.kind !== 'yes/no' && (
        <RightSide
          right={right}
          type={type}
          choices={choices}
          nameOf={(path) => fields.nameOf(path, around)}
          onChange={(next) => onChange({ ...clause, right: next })}
        />
      )}
      {onRemove && (
        <button type="button" className="btn btn-link" onClick={onRemove}>
          Leave out
        </button>
      )}
    </div>
  );
}

interface Option {
  words: string;
  is: (clause: Clause) => boolean;
  make: (clause: Clause) => Clause;
}

/** How a fact can be compared, in words. */
function optionsFor(type: FieldType, choices: readonly string[] | undefined): Option[] {
  if (type.kind === 'yes/no') {
    const yes = (clause: Clause) => !clause.operator || isYes(clause, true);
    return [
      { words: 'is so', is: yes, make: ({ path, steps }) => ({ path, steps }) },
      {
        words: 'is not so',
        is: (clause) => isYes(clause, false),
        make: ({ path, steps }) => ({ path, steps, operator: 'is', right: { kind: 'yes/no', yes: false } }),
      },
    ];
  }
  return operatorsOf(type).map((operator): Option => ({
    words: /^is|contains/.test(operator) ? operator : `is ${operator}`,
    is: (clause) => clause.operator === operator,
    make: (clause) => withOperator(clause, operator, firstRight(type, choices)),
  }));
}

function isYes({ operator, right }: Clause, yes: boolean): boolean {
  return operator === 'is' && right?.kind === 'yes/no' && right.yes === yes;
}

function withOperator({ path, steps, right }: Clause, operator: Operator, first: Operand): Clause {
  if (operator === 'is set' || operator === 'is not set') return { path, steps, operator };
  return { path, steps, operator, right: right ?? first };
}

/** What a fact is compared with before anything is said. */
function firstRight(type: FieldType, choices: readonly string[] = []): Operand {
  switch (type.kind) {
    case 'date':
    case 'moment':
      return { kind: 'path', path: 'today' };
    case 'money':
    case 'number':
    case 'duration':
    case 'percent':
      return { kind: 'number', text: '0' };
    default:
      return { kind: 'text', text: choices[0] ?? '' };
  }
}

interface RightProps {
  right: Operand;
  type: FieldType;
  choices: readonly string[] | undefined;
  nameOf: (path: string) => string;
  onChange: (right: Operand) => void;
}

function RightSide({ right, type, choices, nameOf, onChange }: RightProps) {
  const [wrong, setWrong] = useState<string>();
  const id = useId();
  const isDay = type.kind === 'date' || type.kind === 'moment';
  if (isDay && (right.kind === 'date' || (right.kind === 'path' && right.path === 'today'))) {
    return (
      <>
        <Form.Select
          size="sm"
          aria-label="Which day"
          value={right.kind}
          onChange={(event) =>
            onChange(
              event.target.value === 'path'
                ? { kind: 'path', path: 'today' }
                : { kind: 'date', iso: today() },
            )
          }
        >
          <option value="path">today</option>
          <option value="date">a day</option>
        </Form.Select>
        {right.kind === 'date' && (
          <Form.Control
            size="sm"
            type="date"
            aria-label="The day"
            defaultValue={right.iso}
            onBlur={(event) => event.target.value && onChange({ kind: 'date', iso: event.target.value })}
          />
        )}
      </>
    );
  }
  if (right.kind === 'path') return <span>{nameOf(right.path)}</span>;
  if (right.kind === 'blank') return <span>the answer to “{right.name}”</span>;
  if (right.kind === 'yes/no' || right.kind === 'date') return null;
  const isFigure = right.kind !== 'text';
  const take = (typed: string) => {
    const words = typed.trim();
    if (words === right.text) return setWrong(undefined);
    if (!words) return setWrong('Write what it is compared with.');
    if (isFigure && !/^-?\d+(?:\.\d+)?%?$/.test(words)) return setWrong('Write a number, as 14 or 2.5.');
    setWrong(undefined);
    onChange({ ...right, text: words });
  };
  return (
    <>
      <Form.Control
        size="sm"
        aria-label="Compared with"
        aria-describedby={wrong ? `${id}-wrong` : undefined}
        isInvalid={wrong !== undefined}
        inputMode={isFigure ? 'decimal' : 'text'}
        list={choices ? `${id}-choices` : undefined}
        defaultValue={right.text}
        onBlur={(event) => take(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && !event.nativeEvent.isComposing) take(event.currentTarget.value);
        }}
      />
      {choices && (
        <datalist id={`${id}-choices`}>
          {choices.map((choice) => (
            <option key={choice} value={choice} />
          ))}
        </datalist>
      )}
      {wrong && (
        <p id={`${id}-wrong`} className="needs-you" role="alert">
          {wrong}
        </p>
      )}
    </>
  );
}

function today(): string {
  return new Date().toLocaleDateString('sv');
}

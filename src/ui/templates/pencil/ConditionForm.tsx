'use client';

import Form from 'react-bootstrap/Form';
import type { Clause, Condition } from '../../../core/document/step';
import { clauseOf } from '../../../core/fields/clauseOf';
import type { Around } from '../../../core/fields/sayField';
import { ClauseForm } from './ClauseForm';
import type { PencilTools, PlaceInWindow } from './pencilTools';

interface Props {
  condition: Condition;
  /** the sections around what it asks */
  around: readonly Around[];
  tools: PencilTools;
  onChange: (condition: Condition) => void;
  /** nothing is asked any more; absent where something must be */
  onNone?: () => void;
}

/** A condition by plain choices: a fact, how it is compared, with what; several joined by one word. */
export function ConditionForm({ condition: { join, clauses }, around, tools, onChange, onNone }: Props) {
  const change = (i: number, clause: Clause | undefined) => {
    const next = clause
      ? clauses.map((one, j) => (j === i ? clause : one))
      : clauses.filter((_, j) => j !== i);
    if (next.length) onChange({ join, clauses: next });
    else onNone?.();
  };
  const pick = (at: PlaceInWindow, then: (clause: Clause) => void) =>
    tools.want({
      at,
      around,
      then: ({ path, type }) => then(clauseOf(path, type)),
    });
  return (
    <div className="condition">
      {clauses.map((clause, i) => (
        <ClauseForm
          key={`${i} ${JSON.stringify(clause)}`}
          clause={clause}
          around={around}
          fields={tools.fields}
          onChange={(next) => change(i, next)}
          onPick={(at) => pick(at, (next) => change(i, next))}
          {...(clauses.length > 1 || onNone ? { onRemove: () => change(i, undefined) } : {})}
        />
      ))}
      {clauses.length > 1 && (
        <Form.Select
          aria-label="How they are joined"
          size="sm"
          value={join}
          onChange={(event) => onChange({ join: event.target.value as Condition['join'], clauses })}
        >
          <option value="and">all of these hold</option>
          <option value="or">one of these holds</option>
        </Form.Select>
      )}
      <button
        type="button"
        className="btn btn-link"
        onClick={(event) =>
          pick(event.currentTarget.getBoundingClientRect(), (clause) =>
            onChange({ join, clauses: [...clauses, clause] }),
          )
        }
      >
        And something else
      </button>
    </div>
  );
}

'use client';

import { useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import type { Mends } from '../../core/bringing/brought';
import type { Decision, RowState } from '../../core/bringing/rowState';
import { ClientChoice } from '../forms/ClientChoice';
import type { ReadRow } from './messages';

interface Props {
  row: ReadRow;
  /** "Row", "Card" */
  rowWord: string;
  state: RowState;
  mends: Mends;
  decision: Decision;
  /** it was found whose it is, which may be wrong */
  canBeAnothers: boolean;
  wordsOf: (fact: string) => string;
  onMend: (fact: string, words: string) => void;
  onDecide: (decision: Decision) => void;
}

const STATE = {
  comes: { words: 'comes in', look: 'in-order' },
  there: { words: 'there already', look: 'waiting' },
  unclear: { words: 'stays out', look: 'needs-you' },
  'left out': { words: 'left out', look: '' },
} as const;

/** What cards and calendars call things, in words. */
const PROPERTIES: Readonly<Record<string, string>> = {
  ADR: 'Address',
  DTEND: 'Ends',
  DTSTART: 'Begins',
  EMAIL: 'Email address',
  RRULE: 'Repeats',
  SUMMARY: 'Title',
  TEL: 'Telephone',
  TZID: 'Time zone',
  UID: 'Mark',
};

/** A row of a file: what it says, what of it is in doubt with what mends it, and whether it comes in. */
export function BroughtRowView({
  row,
  rowWord,
  state,
  mends,
  decision,
  canBeAnothers,
  wordsOf,
  onMend,
  onDecide,
}: Props) {
  const { words, look } = STATE[state.state];
  const name = row.said?.name ?? `${rowWord} ${row.row}`;
  const facts = [...new Set([...row.doubts.flatMap(({ fact }) => fact ?? []), ...Object.keys(mends)])];
  return (
    <article className="brought-row" aria-label={name}>
      <h3>
        {name} <span className={`entry-state ${look}`}>{words}</span>
      </h3>
      <p className="entry-note">
        {rowWord} {row.row}
        {row.said?.note || row.says ? `: ${row.said?.note ?? row.says}` : ''}
      </p>
      {state.why && <p>{state.why}</p>}
      {row.doubts.map(({ column, words: said, message }, i) => (
        <p key={i} className="problem">
          {column && `${PROPERTIES[column] ?? column}${said ? ` “${said}”` : ''}: `}
          {message}
        </p>
      ))}
      {facts.map((fact) => (
        <Mend
          key={fact}
          row={row.row}
          fact={fact}
          label={wordsOf(fact)}
          mended={mends[fact]}
          onMend={onMend}
        />
      ))}
      {state.perhaps && (
        <p className="row-acts">
          {state.perhaps.map((client) => (
            <button
              key={client.key}
              type="button"
              className="btn btn-outline-primary"
              onClick={() => onDecide({ client })}
            >
              {client.name}
            </button>
          ))}
        </p>
      )}
      {state.needs === 'client' && (
        <WhoseChoice row={row.row} onChosen={(key, called) => onDecide({ client: { key, name: called } })} />
      )}
      <div className="row-acts">
        {state.client && state.state === 'comes' && (
          <span>
            Of {state.client.name}{' '}
            {canBeAnothers && (
              <button
                type="button"
                className="btn btn-link"
                aria-label={`Another client for ${name}`}
                onClick={() => onDecide({ client: null })}
              >
                Another
              </button>
            )}
          </span>
        )}
        {state.state === 'there' && (
          <button
            type="button"
            className="btn btn-link"
            aria-label={`Bring ${name} in all the same`}
            onClick={() => onDecide({ as: 'brought in' })}
          >
            Bring it in all the same
          </button>
        )}
        {decision.as !== undefined ? (
          <button
            type="button"
            className="btn btn-link"
            aria-label={`${decision.as === 'left out' ? 'Bring' : 'Leave'} ${name} ${decision.as === 'left out' ? 'in after all' : 'out after all'}`}
            onClick={() => onDecide({ as: undefined })}
          >
            {decision.as === 'left out' ? 'Bring it in after all' : 'Leave it out after all'}
          </button>
        ) : (
          state.state === 'comes' && (
            <button
              type="button"
              className="btn btn-link"
              aria-label={`Leave ${name} out`}
              onClick={() => onDecide({ as: 'left out' })}
            >
              Leave it out
            </button>
          )
        )}
      </div>
    </article>
  );
}

/** What is written instead of what stands there. */
function Mend({
  row,
  fact,
  label,
  mended,
  onMend,
}: {
  row: number;
  fact: string;
  label: string;
  mended: string | undefined;
  onMend: Props['onMend'];
}) {
  const [typed, setTyped] = useState(mended ?? '');
  const id = `mend-${row}-${fact}`;
  const mend = () => {
    if (typed !== (mended ?? '')) onMend(fact, typed);
  };
  return (
    <p className="mend">
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        className="form-control"
        value={typed}
        placeholder="Write it as it should be"
        autoComplete="off"
        onChange={({ target }) => setTyped(target.value)}
        onBlur={mend}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && !event.ctrlKey && !event.metaKey) {
            event.preventDefault();
            mend();
          } else if (event.key === 'Escape') setTyped(mended ?? '');
        }}
      />
    </p>
  );
}

function WhoseChoice({ row, onChosen }: { row: number; onChosen: (key: string, name: string) => void }) {
  const name = `whose-${row}`;
  const form = useForm({ defaultValues: { [name]: '' } });
  return (
    <FormProvider {...form}>
      <ClientChoice
        name={name}
        label="Client"
        called={undefined}
        onChosen={(key, called) => called !== undefined && onChosen(key, called)}
      />
    </FormProvider>
  );
}

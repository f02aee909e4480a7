'use client';

import { useState, type KeyboardEvent } from 'react';
import Form from 'react-bootstrap/Form';
import { useController } from 'react-hook-form';
import type { ListPage } from '../../core/contract/list';
import { useAnswerTo } from '../shell/useAnswerTo';
import { Labelled } from './Labelled';

interface Props {
  name: string;
  label: string;
  help?: string;
  /** what the chosen one is called */
  called: string | undefined;
  /** @param called undefined: none any more */
  onChosen: (key: string, called: string | undefined) => void;
  /** the record stays with its client */
  fixed?: boolean;
}

/** So many are offered. */
const MOST = 8;

/** A client, found by a name, an address or a number. */
export function ClientChoice({ name, label, help, called, onChosen, fixed = false }: Props) {
  const { field } = useController({ name });
  const [typed, setTyped] = useState('');
  const [at, setAt] = useState(0);
  const { settled, body } = useAnswerTo<ListPage>('/api/lists/client', typed.trim());
  const found = typed.trim() ? (body?.entries ?? []).slice(0, MOST) : [];

  function choose(key: string, chosen: string | undefined) {
    field.onChange(key);
    setTyped('');
    setAt(0);
    onChosen(key, chosen);
  }

  function onKeyDown(event: KeyboardEvent) {
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (step) {
      event.preventDefault();
      setAt((one) => Math.max(0, Math.min(found.length - 1, one + step)));
    } else if (event.key === 'Enter' && !event.ctrlKey && !event.metaKey && typed) {
      event.preventDefault();
      const one = found[at];
      if (one) choose(one.key, one.name);
    } else if (event.key === 'Escape') setTyped('');
  }

  if (field.value && called !== undefined)
    return (
      <div className="form-field client-chosen">
        <span className="form-label">{label}</span>
        <p>
          {called}{' '}
          {!fixed && (
            <button type="button" className="btn btn-link" onClick={() => choose('', undefined)}>
              Another
            </button>
          )}
        </p>
      </div>
    );
  return (
    <Labelled name={name} label={label} help={help}>
      {(described) => (
        <>
          <Form.Control
            {...described}
            ref={field.ref}
            role="combobox"
            aria-expanded={found.length > 0}
            aria-controls={`${described.id}-found`}
            aria-activedescendant={found.length > 0 ? `${described.id}-${at}` : undefined}
            autoComplete="off"
            placeholder="Begin to write the name"
            value={typed}
            onChange={({ target }) => {
              setTyped(target.value);
              setAt(0);
            }}
            onKeyDown={onKeyDown}
            onBlur={field.onBlur}
          />
          <ul
            id={`${described.id}-found`}
            role="listbox"
            aria-label="Those that were found"
            className="choice-list"
          >
            {found.map(({ key, name: one, note }, i) => (
              <li
                key={key}
                id={`${described.id}-${i}`}
                role="option"
                aria-selected={i === at}
                // Pressed, not clicked: leaving the field would close the list first.
                onMouseDown={(event) => {
                  event.preventDefault();
                  choose(key, one);
                }}
              >
                {one} <span className="entry-note">{note}</span>
              </li>
            ))}
          </ul>
          <p className="field-help" role="status">
            {typed.trim() && settled && found.length === 0 ? 'No client has these words.' : ''}
          </p>
        </>
      )}
    </Labelled>
  );
}

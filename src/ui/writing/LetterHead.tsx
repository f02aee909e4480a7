'use client';

import { useState } from 'react';
import { people } from '../../core/writing/alternatives';
import { nameRecipient } from '../../core/describe/nameRecord';
import { referenceOf, type FilledLetter } from '../../core/writing/writingDesk';
import type { LetterStore } from './letterStore';

interface Props {
  filled: FilledLetter;
  store: LetterStore;
  onBack: () => void;
  /** the letter has gone: nobody else can be chosen */
  closed: boolean;
}

/** Whom the letter goes to, and another person in two presses. */
export function LetterHead({ filled, store, onBack, closed }: Props) {
  const [changing, setChanging] = useState(false);
  const { situation, copies } = filled;
  const { others } = people(situation);
  const to = situation.recipients.map(({ record }) => nameRecipient(record));
  const add = (reference: string) => {
    const now = situation.recipients.map(({ record }) => referenceOf(record));
    store.choose({ recipients: [...now, reference] });
    setChanging(false);
  };
  return (
    <div className="address-head">
      <button type="button" className="btn btn-link back-to-list" onClick={onBack}>
        Templates
      </button>
      <dl>
        <dt>To</dt>
        <dd>
          {to.map(({ name, note }) => (
            <span key={name + note} className="addressee">
              <b>{name}</b>
              {note && `, ${note}`}
            </span>
          ))}
          {to.length === 0 && <span className="needs-you">nobody yet</span>}
        </dd>
        {copies.length > 0 && (
          <>
            <dt>Copy</dt>
            <dd>{copies.map(({ name, email }) => `${name} (${email})`).join(', ')}</dd>
          </>
        )}
      </dl>
      {others.length > 0 && !closed && (
        <button
          type="button"
          className="btn btn-link"
          aria-expanded={changing}
          onClick={() => setChanging((open) => !open)}
        >
          Change
        </button>
      )}
      {changing && (
        <ul className="other-people" aria-label="Other people">
          {others.map(({ key, name, note, choice }) => (
            <li key={key}>
              <button
                type="button"
                className="choice"
                onClick={() => {
                  store.choose(choice);
                  setChanging(false);
                }}
              >
                <b>{name}</b>, {note}
              </button>
              <button
                type="button"
                className="btn btn-link"
                aria-label={`Also to ${name}`}
                onClick={() => add(key)}
              >
                Also
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
